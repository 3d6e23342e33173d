# A segment that nobody has confirmed yet. Off by itself: while she works drafts are nothing to be told of,
# and Deliver names them.
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
