# A segment that nobody has confirmed yet.
module Glossema
  module Checks
    class NotConfirmed < Check
      is "not-confirmed", group: "completeness", level: "look"

      def findings(pair)
        return [] unless %w[untouched draft].include?(pair.state)

        [finding(target: [[0, pair.into.length]])]
      end
    end
  end
end
