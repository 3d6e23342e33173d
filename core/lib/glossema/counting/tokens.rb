# Cuts a text into words, numbers and marks (brief: UAX #29 words with the trade's additions).
module Glossema
  module Counting
    # One token of a text: kind is :word, :number or :mark; from…to is its place in code points.
    Token = Struct.new(:text, :kind, :from, :to) do
      def counts? = kind != :mark
    end

    module Tokens
      # Scripts without spaces between words: each character counts as one.
      UNSPACED = '\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}ー々'.freeze
      LETTER_OR_DIGIT = "(?:[[\\p{L}\\p{Nd}\\p{Nl}_]&&[^#{UNSPACED}]][\\p{M}\\p{Cf}]*)".freeze
      JOINT = "(?:[-‐‑'’](?=#{LETTER_OR_DIGIT})|(?<=[\\p{L}\\p{M}])[:.·‧․‘](?=[[\\p{L}]&&[^#{UNSPACED}]])|(?<=\\p{Nd})[.,;:/٫٬](?=\\p{Nd}))".freeze
      GROUPED = '\p{Nd}{1,3}(?:[\u00A0\u202F\u2009]\p{Nd}{3})+(?!\p{Nd})(?:[.,]\p{Nd}+)?'.freeze
      ADDRESS = '(?:(?:https?|ftp)://|www\.)[^\s<>"“”«»]*[^\s<>"“”«».,;:!?()\[\]\'’…]|' \
                '[\p{L}\p{N}._%+-]+@[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+|' \
                '(?:[\p{L}\p{N}-]+\.)+\p{L}{2,}/[^\s<>"“”«»]*[^\s<>"“”«».,;:!?()\[\]\'’…]'.freeze
      PATTERN = /(?<address>#{ADDRESS})|(?<grouped>#{GROUPED})|(?<unspaced>(?=[[\p{L}\p{Nl}ー々]&&[#{UNSPACED}]])\X)|(?<word>#{LETTER_OR_DIGIT}+(?:#{JOINT}#{LETTER_OR_DIGIT}+)*)|(?<mark>[^\s\p{Z}\p{Cc}\p{Cf}]\p{M}*)/

      module_function

      # text → array of Token, in order; white space and control characters give none.
      def of(text)
        tokens = []
        text.scan(PATTERN) do
          match = Regexp.last_match
          value = match[0]
          tokens << Token.new(value, kind(match, value), match.begin(0), match.end(0))
        end
        tokens
      end

      # Plain words parted by blanks, each with at most some marks after it: most of English, counted without more ado.
      PLAIN = /\A(?:\(?[A-Za-z0-9]+[),;:!?.]{0,2}(?: +|\z))*\z/

      # How many words a text has.
      def words(text) = text.match?(PLAIN) ? text.count(" ").zero? ? (text.empty? ? 0 : 1) : text.split(" ").size : of(text).count(&:counts?)

      # True when the text holds characters that are counted one by one.
      def by_character?(text) = text.match?(/[[\p{L}]&&[#{UNSPACED}]]/)

      def kind(match, value)
        return :mark if match[:mark] || !value.match?(/[\p{L}\p{Nd}\p{Nl}]/)

        value.match?(/\p{Nd}/) && !value.match?(/\p{L}/) ? :number : :word
      end
      private_class_method :kind
    end
  end
end
