# The command that measures the cues of a subtitle file.
module Glossema
  class Cli
    module TimingCues
      def cues
        opened = document
        limits = Timing::Limits.new(@options[:limits] || {})
        shown = cues_of(opened)
        raise Refused.new("not-timed", name: opened.name) if shown.empty? && opened.units.any?

        shown.each_with_index do |(cue, text), index|
          say(Timing::Meters.new(cue, text, following: shown[index + 1]&.first).to_h(limits))
        end
        DONE
      end

      private

      # [[Cue, text], …], also of those without text.
      def cues_of(opened)
        return [] unless opened.file.respond_to?(:cue_locations)

        texts = opened.units.to_h { |unit| [unit.location, unit.content.text] }
        opened.file.cue_locations.filter_map do |location|
          cue = Timing::Cue.at(location)
          [cue, texts[location].to_s] if cue
        end
      end
    end
  end
end
