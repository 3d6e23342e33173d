# A term in the target that is not to be used.
module Glossema
  module Checks
    class TermForbidden < Check
      is "term-forbidden", group: "terms", level: "must-fix"

      def findings(pair)
        return [] unless @terms

        @terms.forbidden(pair.from, pair.into).map do |found, entry|
          better = @terms.usable(entry).first(3).map(&:written).join(", ")
          variant = better.empty? ? "alone" : "better"
          finding(variant, term: pair.into[found.from...found.to], wanted: better,
            target: [[found.from, found.to]])
        end
      end
    end
  end
end
