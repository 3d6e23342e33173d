# Cuts a text into what terms are compared by: tokens as in counting, with an elided article ("l'arresto",
# "dell'olio") apart from its word.
module Glossema
  module Terms
    module Words
      # What is elided before a vowel, by language.
      ELIDED = {
        "it" => %w[l un d dell nell all dall sull coll quell bell sant c s m t v n gl quest anch],
        "fr" => %w[l d j m t s c n qu jusqu lorsqu puisqu quoiqu quelqu],
        "ca" => %w[l d m t s n]
      }.transform_values { |words| /\A(?:#{words.join("|")})['’](?=[\p{L}\p{N}])/i }.freeze

      module_function

      # text → array of Counting::Token.
      def tokenize(text, tag)
        elided = ELIDED[Languages.primary(tag)]
        tokens = Counting::Tokens.tokenize(text)
        return tokens unless elided && text.match?(/['’]/)

        tokens.flat_map { |token| parted(token, elided) }
      end

      def parted(token, elided)
        length = token.text[elided]&.length or return [token]
        [
          Counting::Token.new(token.text[0...length], :word, token.from, token.from + length),
          Counting::Token.new(token.text[length..], token.kind, token.from + length, token.to)
        ]
      end
      private_class_method :parted
    end
  end
end
