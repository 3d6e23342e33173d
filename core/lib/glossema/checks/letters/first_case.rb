# A first letter that is a capital in one and not in the other.
module Glossema
  module Checks
    class FirstCase < Check
      is "first-case", group: "letters", level: "look"

      FIRST = /\A[^\p{L}\p{N}]*(\p{L})/

      OWN_CASE = /\p{Ll}\p{Lu}|[\d_@\/.:]\p{L}|\A\p{Lu}{2}/

      def findings(pair)
        before, now = pair.from[FIRST, 1], pair.into.match(FIRST)
        return [] if before.nil? || now.nil? || !cased?(before) || !cased?(now[1])
        return [] if capital?(before) == capital?(now[1]) || natural?(pair, now)

        [finding(capital?(before) ? "small" : "capital", letter: now[1], target: [now.offset(1)],
          fix: pair.mended(*now.offset(1), now[1].swapcase))]
      end

      private

      def cased?(letter) = letter.swapcase != letter
      def capital?(letter) = letter == letter.upcase

      # German nouns, names such as iPhone, addresses and codes have a case of their own.
      def natural?(pair, now)
        word = pair.into[now.begin(1)..][/\A\S+/].to_s
        noun = pair.target_language == "de" && capital?(now[1])
        noun || word.match?(OWN_CASE) || pair.from.include?(word)
      end
    end
  end
end
