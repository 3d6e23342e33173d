# An inline code of the source that the target lacks.
module Glossema
  module Checks
    class CodeMissing < Check
      is "code-missing", group: "codes", level: "must-fix"

      def findings(pair)
        missing = Content::Balance.new(pair.source.written, pair.target.written).missing
        missing.empty? ? [] : [finding(codes: missing.join(" "))]
      end
    end
  end
end
