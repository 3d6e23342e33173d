# A segment that is not confirmed. Off by default: drafts are not reported during translation, and Deliver
# lists them.
module Glossema
  module Checks
    class NotConfirmed < Check
      is "not-confirmed", group: "completeness", level: "look", off: true

      def findings(pair)
        return [] unless %w[untouched draft].include?(pair.state)

        [finding(target: [[0, pair.into.length]])]
      end
    end
  end
end
