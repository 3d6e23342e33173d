# A source that has no translation.
module Glossema
  module Checks
    class TargetEmpty < Check
      is "target-empty", group: "completeness", level: "must-fix"

      def findings(pair)
        return [] unless pair.untranslated? && pair.from.match?(/[^[:space:]]/)

        [finding(source: [[0, pair.from.length]])]
      end
    end
  end
end
