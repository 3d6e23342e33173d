# Turns a regular expression in ICU syntax, as SRX files carry them, into a Ruby one.
module Glossema
  module Segmentation
    module Icu
      SPACE = '\t\n\f\r\v\u0085\p{Z}'.freeze
      WORD = '\p{L}\p{M}\p{Nd}\p{Nl}\p{Pc}\u200C\u200D'.freeze
      OUTSIDE = {
        "s" => "[#{SPACE}]",
        "S" => "[^#{SPACE}]",
        "w" => "[#{WORD}]",
        "W" => "[^#{WORD}]",
        "d" => '\p{Nd}',
        "D" => '\P{Nd}',
        "h" => '[\t\p{Zs}]',
        "H" => '[^\t\p{Zs}]',
        "Z" => '\Z',
        "b" => "(?:(?<=[#{WORD}])(?![#{WORD}])|(?<![#{WORD}])(?=[#{WORD}]))"
      }.freeze
      INSIDE = {
        "s" => SPACE,
        "S" => "[^#{SPACE}]",
        "w" => WORD,
        "W" => "[^#{WORD}]",
        "d" => '\p{Nd}',
        "D" => '\P{Nd}',
        "h" => '\t\p{Zs}'
      }.freeze

      module_function

      # pattern: ICU syntax. Returns the source of an equal Ruby pattern.
      # Raises Refused "rule-broken" when it is not a regular expression.
      def to_ruby(pattern)
        raise RegexpError, "too long" if pattern.length > Expression::LONGEST_RULE

        source = translate(pattern)
        Expression.compile(source, longest: Expression::LONGEST_RULE)
        source
      rescue RegexpError => e
        raise Refused.new("rule-broken", pattern: pattern[0, 200], reason: e.message[/\A[^:\n]+/])
      end

      def translate(pattern)
        out, depth, i = +"", 0, 0
        while i < pattern.length
          char = pattern[i]
          if char == "\\"
            piece, i = escape(pattern, i, depth.positive?)
            out << piece
            next
          end
          depth += 1 if char == "["
          depth -= 1 if char == "]" && depth.positive?
          if char == "(" && depth.zero? && (flags = pattern[i..].match(/\A\(\?([a-z]*)(-[a-z]+)?([:)])/)) &&
              flags[1] + flags[2].to_s != ""
            out << "(?#{flags[1].tr("s", "m").delete("uwx")}#{flags[2].to_s.tr("s", "m").delete("uwx")}" \
              "#{flags[3]}".sub(
                "(?)",
                ""
              )
            i += flags[0].length
            next
          end
          out << char
          i += 1
        end
        out
      end
      private_class_method :translate

      def escape(pattern, index, inside)
        rest = pattern[index..]
        if (match = rest.match(/\A\\Q(.*?)(?:\\E|\z)/m))
          [Regexp.escape(match[1]), index + match[0].length]
        elsif (match = rest.match(/\A\\(?:x\{(\h+)\}|x(\h{2})|U(\h{8})|u(\h{4})(?!\h*\}))/))
          [format('\u{%x}', match.captures.compact.first.hex), index + match[0].length]
        else
          letter = rest[1].to_s
          [(inside ? INSIDE : OUTSIDE).fetch(letter, "\\#{letter}"), index + 2]
        end
      end
      private_class_method :escape
    end
  end
end
