# What kind of change a reviser made, and how much of the text it is.

module Glossema
  module Review
    module Changes
      KINDS = %w[wording terms marks codes].freeze
      HUNDRED = 100
      WORD = /[\p{L}\p{M}\p{N}]+/

      module_function

      # before, after: Content; terms: texts in the target language that stand in a termbase. → of KINDS:
      # terms when one of them came or went, marks when the words are the same, but for their case, codes
      # when all the text is.
      def kind(before, after, terms: [])
        return "codes" if before.text == after.text

        old, new = [before, after].map { |content| content.text.downcase.scan(WORD) }
        return "marks" if old == new

        was, is = [before, after].map { |content| content.text.downcase }
        terms.any? { |term| was.include?(term.downcase) != is.include?(term.downcase) } ? "terms" : "wording"
      end

      # {"words": of the text before, "changed": words that are others after, "score": as of a match}
      def amount(before, after)
        comparison = Matching::Score.compare(before, after)
        words = comparison.differences.sum do |one|
          [one.source, one.memory].map { |text| text.to_s.scan(WORD).size }.max
        end
        { "words" => before.text.scan(WORD).size, "changed" => words, "score" => comparison.score }
      end

      # pairs: [[text before, text after], …] → {"edits": characters put in, taken out or replaced
      # (Levenshtein), "characters": of the longer of each, "percent": the one of the other}
      def distance(pairs)
        edits = pairs.sum { |before, after| Letters.distance(before, after) }
        characters = pairs.sum { |pair| pair.map(&:size).max }
        { "edits" => edits, "characters" => characters,
          "percent" => characters.zero? ? 0.0 : (HUNDRED * edits).fdiv(characters).round(1) }
      end
    end
  end
end
