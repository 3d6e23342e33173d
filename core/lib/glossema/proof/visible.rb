# Two texts that differ, cut to where they do, with what cannot be seen made visible.
module Glossema
  class Proof
    module Visible
      AROUND = 30
      LENGTH = 80
      MARKS = { "\u00A0" => "⍽", "\u202F" => "⍽", "\t" => "→", "\n" => "↵", "\r" => "␍",
                "\u00AD" => "‹soft hyphen›" }.freeze
      INVISIBLE = /[\u00A0\u202F\t\n\r\u00AD]|\p{Cf}|\p{Cc}|(?<= ) | (?= )|\A | \z/

      module_function

      # Texts → [one, other], each with its marks where the other differs.
      def pair(one, other)
        at = one.each_char.zip(other.each_char).index { |a, b| a != b } || [one.length, other.length].min
        from = [at - AROUND, 0].max
        [one, other].map { |text| "#{"…" if from.positive?}#{shown(text[from, LENGTH].to_s)}" }
      end

      def shown(text)
        text.gsub(INVISIBLE) { |char| MARKS[char] || (char == " " ? "·" : format("‹U+%04X›", char.ord)) }
      end
      private_class_method :shown
    end
  end
end
