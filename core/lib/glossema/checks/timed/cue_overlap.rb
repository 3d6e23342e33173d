# A cue that is still shown when the next one begins.
module Glossema
  module Checks
    class CueOverlap < Check
      is "cue-overlap", group: "timed", level: "look"

      def findings(pair)
        return [] unless pair.cue && pair.next_cue

        gap = pair.cue.gap_to(pair.next_cue)
        # Without an end another check has something to say.
        return [] unless gap&.negative?

        [finding(seconds: format("%.3f", -gap.to_f), target: [[0, pair.into.length]])]
      end
    end
  end
end
