# Two finished texts, each other’s translation, become pairs.
module Glossema
  module Alignment
  end
end

%w[bead tokens lexicon side band evidence costs shares search posterior pair thinned aligner editing anew
   pairing].each { |name|
  require "glossema/alignment/#{name}"
}
