# A word that stands twice in a row.
module Glossema
  module Checks
    class WordTwice < Check
      is "word-twice", group: "letters", level: "look"

      PAIR = /(?<![\p{L}\p{M}\p{N}-])(\p{L}[\p{L}\p{M}]*)(?=[ \u00A0]+(\p{L}[\p{L}\p{M}]*)(?![\p{L}\p{M}\p{N}'’-]))/
      # Words that may stand twice.
      MAY = {
        "en" => %w[that had bye so very], "nl" => %w[dat u], "de" => %w[sie so],
        "fr" => %w[vous nous très], "it" => %w[via man mano piano], "es" => %w[que muy], "pt" => %w[que se],
        "sv" => %w[att det], "da" => %w[at det], "nb" => %w[at det], "af" => %w[nie],
        "id" => nil, "ms" => nil, "vi" => nil
      }.freeze

      # Words that may stand twice at the beginning of a clause: die, die die Kette sahen.
      IN_CLAUSES = { "de" => %w[die der das den dem] }.freeze

      def findings(pair)
        allowed = MAY.fetch(pair.target_language, [])
        found = allowed ? twice(pair.into) : []
        return [] if found.empty? || twice(pair.from).any?

        found.reject { |match| may?(match, allowed) || clause?(match, pair) }.map do |match|
          span = [match.begin(1), match.end(2)]
          finding(word: match[1], target: [span], fix: pair.mended(*span, match[1]))
        end
      end

      private

      def clause?(match, pair)
        listed = IN_CLAUSES.fetch(pair.target_language, [])
        listed.include?(match[1]) && match.pre_match.match?(/,[ \u00A0]\z/)
      end

      # The second one begins no sentence.
      def may?(match, allowed) = allowed.include?(match[1].downcase) && match[2] == match[2].downcase

      def twice(text) = places(text, PAIR).select { |match| match[1].casecmp?(match[2]) }
    end
  end
end
