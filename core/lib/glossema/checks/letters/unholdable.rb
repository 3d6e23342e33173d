# A character that no document can hold.
module Glossema
  module Checks
    class Unholdable < Check
      is "unholdable", group: "letters", level: "must-fix"

      def findings(pair)
        matches = places(pair.into, Content::UNHOLDABLE)
        return [] if matches.empty?

        [finding(target: matches.map { |match| match.offset(0) }, fix: pair.target.holdable.written)]
      end
    end
  end
end
