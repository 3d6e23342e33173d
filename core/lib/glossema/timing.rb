# Subtitles: when a cue is shown, how fast it must be read, and what a client allows.
module Glossema
  module Timing
  end
end

%w[placement cue limits meters line_breaks breaking retiming retiming_xml settling sentences dividing
   film].each { |name|
  require "glossema/timing/#{name}"
}
