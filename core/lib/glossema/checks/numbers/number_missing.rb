# A number of the source that is not in the target, or another one in its place.
module Glossema
  module Checks
    class NumberMissing < Check
      is "number-missing", group: "numbers", level: "must-fix"

      def findings(pair)
        lost, added = pair.quantities.lost, pair.quantities.added
        return [changed(lost.first, added.first)] if lost.size == 1 && added.size == 1

        lost.map { |number| finding("missing", number: number.text, source: [[number.from, number.to]]) }
      end

      private

      def changed(number, other)
        finding("changed", number: number.text, other: other.text, source: [[number.from, number.to]],
          target: [[other.from, other.to]])
      end
    end
  end
end
