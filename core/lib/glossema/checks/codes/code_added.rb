# An inline code that the source does not have, or not as often.
module Glossema
  module Checks
    class CodeAdded < Check
      is "code-added", group: "codes", level: "must-fix"

      def findings(pair)
        added = Content::Balance.new(pair.source.written, pair.target.written).added
        added.empty? ? [] : [finding(codes: added.join(" "))]
      end
    end
  end
end
