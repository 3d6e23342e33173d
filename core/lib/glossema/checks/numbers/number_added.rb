# A number in the target that the source does not have.
module Glossema
  module Checks
    class NumberAdded < Check
      is "number-added", group: "numbers", level: "must-fix"

      def findings(pair)
        lost, added = pair.quantities.lost, pair.quantities.added
        # One for another is told as a change.
        return [] if lost.size == 1 && added.size == 1

        added.map { |number| finding(number: number.text, target: [[number.from, number.to]]) }
      end
    end
  end
end
