# A translation that is much shorter or longer than its source, for these languages.
module Glossema
  module Checks
    class LengthRatio < Check
      # In percent of the characters of the source.
      is "length-ratio", group: "completeness", level: "look",
        parameters: { "shortest" => 40, "longest" => 260 }

      # Shorter texts say little; so many characters of most languages stand for one of these.
      LEAST = 24
      DENSE = %w[ja zh ko].freeze
      DENSITY = 2.2

      def findings(pair)
        return [] if pair.from.length < LEAST

        before = pair.from.length * weight(pair.source_language)
        ratio = pair.into.length * weight(pair.target_language) / before
        return [] if (ratio * 100).between?(*@parameters.values_at("shortest", "longest"))

        [finding(ratio < 1 ? "short" : "long", percent: (100.0 * pair.into.length / pair.from.length).round,
          target: [[0, pair.into.length]])]
      end

      private

      def weight(language) = DENSE.include?(language) ? DENSITY : 1.0
    end
  end
end
