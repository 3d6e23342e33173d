# A first letter that is a capital in one and not in the other.
module Glossema
  module Checks
    class FirstCase < Check
      is "first-case", group: "letters", level: "look"

      # What may stand before the first letter; behind a dot, a sign or a placeholder it begins no sentence.
      FIRST = /\A[\s"“”«»„‘’(\[¿¡‹›*•–—-]*(\p{L})/
      WORD = /\A\S+/
      OWN_CASE = /\p{Ll}\p{Lu}|[\d_@\/.:]\p{L}|\A\p{Lu}{2}/

      def findings(pair)
        before, now = [pair.from, pair.into].map { |text| text.match(FIRST) }
        return [] if before.nil? || now.nil? || !cased?(before[1]) || !cased?(now[1])
        return [] if capital?(before[1]) == capital?(now[1]) || natural?(pair, now) || name?(pair, before)

        [finding(capital?(before[1]) ? "small" : "capital", letter: now[1], target: [now.offset(1)],
          fix: pair.mended(*now.offset(1), now[1].swapcase))]
      end

      private

      def cased?(letter) = letter.swapcase != letter
      def capital?(letter) = letter == letter.upcase

      # German nouns, names such as iPhone, addresses and codes have a case of their own.
      def natural?(pair, now)
        word = pair.into[now.begin(1)..][WORD].to_s
        noun = pair.target_language == "de" && capital?(now[1])
        noun || word.match?(OWN_CASE) || pair.from.include?(word)
      end

      # A name that opens the source may stand elsewhere in the target: one with a case of its own, or that no
      # dictionary knows with a small letter.
      def name?(pair, before)
        return false unless capital?(before[1])

        word = pair.from[before.begin(1)..][WORD].to_s
        return true if word.match?(OWN_CASE)

        bare = word[/\A\p{L}+/]
        known = Spelling::Dictionary.for(pair.source_lang)
        pair.into.include?(bare) && known && !known.known?(bare.downcase)
      end
    end
  end
end
