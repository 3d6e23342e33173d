# Spaces at the beginning or end that the source does not have, or that it has.
module Glossema
  module Checks
    class SpaceEdge < Check
      is "space-edge", group: "spaces", level: "look"

      EDGES = { "leading" => /\A[[:space:]]*/, "trailing" => /(?<![[:space:]])[[:space:]]*\z/ }.freeze

      def findings(pair)
        EDGES.filter_map do |variant, pattern|
          before, match = pair.from[pattern], pair.into.match(pattern)
          next if before == match[0]

          finding(variant, target: [match.offset(0)], fix: pair.mended(*match.offset(0), before))
        end
      end
    end
  end
end
