# A placeholder that the program fills in and that is not there as it was.
module Glossema
  module Checks
    class PlaceholderChanged < Check
      is "placeholder-changed", group: "links", level: "must-fix"

      def findings(pair)
        lost, added = Placeholders.differences(pair.from, pair.into)
        findings_for("missing", lost, :source) + findings_for("added", added, :target)
      end

      private

      def findings_for(variant, list, side) =
        list.map { |one| finding(variant, placeholder: one.text, side => [[one.from, one.to]]) }
    end
  end
end
