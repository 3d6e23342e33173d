# The words of a segment as alignment compares them: stems by their first letters, numbers by their digits,
# and where a script writes no spaces, pairs of characters.
module Glossema
  module Alignment
    module Tokens
      NUMBER = /\d+(?:[.,:\u00A0\u202F’']\d+)*/
      SPACELESS = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]+/
      WORD = /#{SPACELESS}|#{NUMBER}|[\p{L}\p{M}]+/
      # So many letters of a word tell it; more would part inflected forms.
      LETTERS = 6
      MARK_AT_END = /[?!:]\s*\z/

      module_function

      # text → tokens, each once; numbers begin with "#", a mark at the end with "$".
      def tokenize(text)
        found = text.downcase.scan(WORD).flat_map { |word| token(word) }
        mark = text[MARK_AT_END]
        found << "$#{mark[0]}" if mark
        found.uniq
      end

      def token(word)
        return "##{word.gsub(/\D/, "").sub(/\A0+(?=\d)/, "")}" if word.match?(/\A\d/)
        return pairs(word) if word.match?(/\A#{SPACELESS}\z/o)

        word[0, LETTERS]
      end
      private_class_method :token

      def pairs(run) = run.size == 1 ? run : run.each_char.each_cons(2).map(&:join)
      private_class_method :pairs

      # The letters by which a word of one language is told in another: without accents, in Latin letters.
      def cognate(token)
        return token if token.start_with?("#", "$")

        plain = token.unicode_normalize(:nfd).gsub(/\p{M}/, "")
        plain = plain.delete("ьъ").tr(OTHERS, LETTERS_FOR_THEM)
        plain.match?(/\A[a-z]{4,}\z/) ? plain[0, 4].tr("kzyv", "csiw") : nil
      end

      # Cyrillic, Greek → the nearest Latin letter.
      OTHERS = "абвгдежзийклмнопрстуфхцчшщыэюяіїєαβγδεζηθικλμνξοπρσςτυφχψω".freeze
      LETTERS_FOR_THEM = "abvgdezziiklmnoprstufhccssyeuaiieavgdezitiklmnxoprsstyfhpo".freeze
    end
  end
end
