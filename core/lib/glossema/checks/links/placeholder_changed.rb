# A placeholder that the program fills in and that is not there as it was.
module Glossema
  module Checks
    class PlaceholderChanged < Check
      is "placeholder-changed", group: "links", level: "must-fix"

      def findings(pair)
        lost, added = Placeholders.differences(pair.from, pair.into)
        told("missing", lost, :source) + told("added", added, :target)
      end

      private

      def told(variant, list, side) =
        list.map { |one| finding(variant, placeholder: one.text, side => [[one.from, one.to]]) }
    end
  end
end
