# A line of a cue that ends in a bad place, such as after an article; offers the best place.
module Glossema
  module Checks
    class CueBreak < Check
      is "cue-break", group: "timed", level: "look"

      def findings(pair)
        return [] unless pair.cue && pair.into.include?("\n")

        breaks = Timing::LineBreaks.new(pair.target_lang)
        places(pair.into, /(\S+)[ \t]*\n[ \t]*(\S+)/).filter_map do |match|
          next unless breaks.bad?(match[1], match[2])

          better = Timing::Breaking.new(breaks).variants(pair.target).first&.written
          finding(before: match[1], after: match[2], target: [[match.begin(1), match.end(2)]],
            fix: (better unless better == pair.target.written))
        end
      end
    end
  end
end
