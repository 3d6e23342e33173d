# A translation that is longer than its place allows.
module Glossema
  module Checks
    class TooLong < Check
      is "too-long", group: "length", level: "must-fix"

      def findings(pair)
        return [] unless pair.limit && pair.into.length > pair.limit

        [finding(length: pair.into.length, limit: pair.limit, target: [[pair.limit, pair.into.length]])]
      end
    end
  end
end
