# Cuts a text into words, numbers and marks (brief: UAX #29 words with the trade's additions).
module Glossema
  module Counting
    # One token of a text: kind is :word, :number or :mark; from…to is its place in code points.
    Token = Struct.new(:text, :kind, :from, :to) { def counts? = kind != :mark }

    module Tokens
      # Scripts without spaces between words: each character counts as one.
      UNSPACED = '\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}ー々'.freeze
      LETTER_OR_DIGIT = "(?:[[\\p{L}\\p{Nd}\\p{Nl}_]&&[^#{UNSPACED}]][\\p{M}\\p{Cf}]*)".freeze
      JOINT =
        "(?:[-‐‑'’](?=#{LETTER_OR_DIGIT})|" \
          "(?<=[\\p{L}\\p{M}])[:.·‧․‘](?=[[\\p{L}]&&[^#{UNSPACED}]])|" \
          "(?<=\\p{Nd})[.,;:/٫٬](?=\\p{Nd}))".freeze
      GROUPED = '\p{Nd}{1,3}(?:[\u00A0\u202F\u2009]\p{Nd}{3})+(?!\p{Nd})(?:[.,]\p{Nd}+)?'.freeze
      ADDRESS =
        '(?:(?:https?|ftp)://|www\.)[^\s<>"“”«»]*[^\s<>"“”«».,;:!?()\[\]\'’…]|' \
          '(?<![\p{L}\p{N}._%+-])[\p{L}\p{N}._%+-]+@[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+|' \
          '(?<![\p{L}\p{N}-])(?:[\p{L}\p{N}-]+\.){1,9}\p{L}{2,}/' \
          '[^\s<>"“”«»]*[^\s<>"“”«».,;:!?()\[\]\'’…]'.freeze
      # Addresses, which are only looked for where one can begin, grouped numbers, unspaced characters, words,
      # marks.
      PATTERN =
        Regexp.union(
          /#{ADDRESS}/,
          /#{GROUPED}/,
          /(?=[[\p{L}\p{Nl}ー々]&&[#{UNSPACED}]])\X/,
          /#{LETTER_OR_DIGIT}+(?:#{JOINT}#{LETTER_OR_DIGIT}+)*/,
          /[^\s\p{Z}\p{Cc}\p{Cf}]\p{M}*/
        )
      # The same for texts of ASCII alone, and faster.
      PLAIN_PATTERN =
        %r{
          (?:(?:https?|ftp)://|www\.)[^\s<>"]*[^\s<>".,;:!?()\[\]']|
          (?<![A-Za-z0-9._%+-])[A-Za-z0-9._%+-]+@[A-Za-z0-9-]+(?:\.[A-Za-z0-9-]+)+|
          (?<![A-Za-z0-9-])(?:[A-Za-z0-9-]+\.){1,9}[A-Za-z]{2,}/[^\s<>"]*[^\s<>".,;:!?()\[\]']|
          [A-Za-z0-9_]+
          (?:(?:[-'](?=[A-Za-z0-9_])|(?<=[A-Za-z])[:.](?=[A-Za-z])|(?<=[0-9])[.,;:/](?=[0-9]))[A-Za-z0-9_]+)*|
          [!-~]
        }x
      # The same kinds of token come again and again; so many are remembered.
      REMEMBERED = 50_000

      module_function

      # text → array of Token, in order; white space and control characters give none.
      def tokenize(text) =
        [].tap { |tokens| each(text) { |value, kind, from, to| tokens << Token.new(value, kind, from, to) } }

      # Yields text, kind, from and to of each token.
      def each(text)
        known = kinds
        Offsets.each(text, pattern_for(text)) { |value, from, to|
          yield value, known[value] || kind(value), from, to
        }
      end

      # text → array of Strings: the tokens by themselves.
      def texts(text) = text.scan(pattern_for(text))

      def pattern_for(text) = text.ascii_only? ? PLAIN_PATTERN : PATTERN
      private_class_method :pattern_for

      # Plain words parted by blanks, each with at most some marks after it: most of English, counted without
      # more ado.
      PLAIN = /\A(?:\(?[A-Za-z0-9]+[),;:!?.]{0,2}(?: +|\z))*\z/

      # How many words a text has.
      def words(text)
        return tokenize(text).count(&:counts?) unless text.match?(PLAIN)
        return text.split(" ").size unless text.count(" ").zero?

        text.empty? ? 0 : 1
      end

      # True when the text holds characters that are counted one by one.
      def by_character?(text) = text.match?(/[[\p{L}]&&[#{UNSPACED}]]/)

      # :word, :number or :mark, by the text of a token.
      def kind(value)
        known = kinds
        known.clear if known.size > REMEMBERED
        known[value] ||= if !value.match?(/[\p{L}\p{Nd}\p{Nl}]/)
          :mark
        else
          value.match?(/\p{Nd}/) && !value.match?(/\p{L}/) ? :number : :word
        end
      end

      def kinds = Thread.current[:glossema_kinds] ||= {}
      private_class_method :kinds
    end
  end
end
