# A cue that begins after the next one does, or has no end.
module Glossema
  module Checks
    class CueOrder < Check
      is "cue-order", group: "timed", level: "look"

      def findings(pair)
        return [] unless pair.cue

        found = []
        found << finding("no-end", target: [[0, pair.into.length]]) if pair.cue.finish.nil?
        if pair.next_cue && pair.next_cue.start < pair.cue.start
          found << finding("later", number: pair.next_cue.number, target: [[0, pair.into.length]])
        end
        found
      end
    end
  end
end
