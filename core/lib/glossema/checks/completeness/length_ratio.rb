# A translation that is much shorter or longer than its source, for these languages.
module Glossema
  module Checks
    class LengthRatio < Check
      is "length-ratio", group: "completeness", level: "look"

      # Shorter texts say little; so many characters of most languages stand for one of these.
      LEAST = 24
      DENSE = %w[ja zh ko].freeze
      DENSITY = 2.2
      SHORTEST, LONGEST = 0.4, 2.6

      def findings(pair)
        return [] if pair.from.length < LEAST

        before = pair.from.length * weight(pair.source_language)
        ratio = pair.into.length * weight(pair.target_language) / before
        return [] if ratio.between?(SHORTEST, LONGEST)

        [finding(ratio < 1 ? "short" : "long", percent: (100.0 * pair.into.length / pair.from.length).round,
          target: [[0, pair.into.length]])]
      end

      private

      def weight(language) = DENSE.include?(language) ? DENSITY : 1.0
    end
  end
end
