# The command that measures the cues of a subtitle file.
module Glossema
  class Cli
    module TimingCues
      def cues
        opened = document
        limits = Timing::Limits.new(@options[:limits] || {})
        units = opened.units.filter_map { |unit| (cue = Timing::Cue.of(unit.path)) && [cue, unit] }
        raise Refused.new("not-timed", name: opened.name) if units.empty?

        units.each_with_index do |(cue, unit), index|
          meters = Timing::Meters.new(cue, unit.content.text, following: units[index + 1]&.first)
          say(meters.to_h(limits))
        end
        DONE
      end
    end
  end
end
