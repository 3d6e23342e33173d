# A fuzzy match or a machine translation that was confirmed as it came.
module Glossema
  module Checks
    class MatchUntouched < Check
      # Matches from this score on may stay as they are.
      is "match-untouched", group: "completeness", level: "look", parameters: { "from" => 100 }

      def findings(pair)
        return [] if pair.state != "translated" || pair.origin.to_h["touched"]

        kind, score = pair.origin.to_h.values_at("kind", "score")
        variant = { "machine" => "machine", "memory" => "fuzzy" }[kind]
        return [] if variant.nil?
        return [] if variant == "fuzzy" && (score.to_i >= @parameters["from"] || same?(pair))

        [finding(variant, score: score, target: [[0, pair.into.length]])]
      end

      private

      # The very words of a unit, whatever was taken off for a region or a memory.
      def same?(pair) = %w[exact context].include?(pair.origin["match"])
    end
  end
end
