# A word that stands twice in a row.
module Glossema
  module Checks
    class WordTwice < Check
      is "word-twice", group: "letters", level: "look"

      PAIR = /(?<![\p{L}\p{N}-])(?<!\p{L}['’])(\p{L}+)(?=[ \u00A0]+(\p{L}+)(?![\p{L}\p{N}'’-]))/
      # Words that may stand twice.
      MAY = {
        "en" => %w[that had bye so very], "nl" => %w[dat u], "de" => %w[die der das sie den dem so],
        "fr" => %w[vous nous très], "it" => %w[via man mano piano], "es" => %w[que muy], "pt" => %w[que se],
        "sv" => %w[att det], "da" => %w[at det], "nb" => %w[at det], "af" => %w[nie],
        "id" => nil, "ms" => nil, "vi" => nil
      }.freeze

      def findings(pair)
        allowed = MAY.fetch(pair.target_language, [])
        return [] if allowed.nil? || twice(pair.from).any?

        twice(pair.into).reject { |match| allowed.include?(match[1].downcase) }.map do |match|
          span = [match.begin(1), match.end(2)]
          finding(word: match[1], target: [span], fix: pair.mended(*span, match[1]))
        end
      end

      private

      def twice(text) = places(text, PAIR).select { |match| match[1].casecmp?(match[2]) }
    end
  end
end
