# Java properties: keys, texts with escapes and continued lines; the comment above a key is its note.
module Glossema
  module Formats
    class Properties < KeyedFile
      Formats.announce(self, rank: 60)

      NAME = "Java properties".freeze
      EXTENSIONS = %w[properties].freeze
      MEDIA_TYPE = "text/x-java-properties".freeze
      DEFAULTS = { "plurals" => true, "target_language" => Inner.new(""), "encoding" => "" }.freeze
      ESCAPES = { "n" => "\n", "t" => "\t", "r" => "\r", "f" => "\f" }.freeze

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      private

      def scan
        scanner, note = StringScanner.new(@text), []
        until scanner.eos?
          if scanner.skip(/[ \t\f]*(?:\r\n|\n|\r)/)
            note.clear
          elsif scanner.scan(/[ \t\f]*[#!]([^\r\n]*)(?:\r\n|\n|\r|\z)/)
            note << scanner[1].strip
          else
            scanner.skip(/[ \t\f]*/)
            key = scanner.scan(/(?:[^\s=:\\]|\\(?:\r\n|.))+/m).to_s
            scanner.skip(/[ \t\f]*[=:]?[ \t\f]*/)
            from = scanner.pos
            scanner.skip(/(?:[^\\\r\n]|\\(?:\r\n|.))*/m)
            take(decode(key), from, scanner.pos, note: note.join(" "))
            note.clear
            scanner.skip(/\r\n|\n|\r/) || scanner.eos? || scanner.getch
          end
        end
      end

      def decode(raw)
        raw
          .gsub(/\\(?:u+(\h{4})|(?:\r\n|\n|\r)[ \t\f]*|(.))/m) do
            code, char = Regexp.last_match.captures
            if code
              [code.hex].pack("n")
                .force_encoding("UTF-16BE")
                .then { |unit| code.hex.between?(0xD800, 0xDFFF) ? "\\u#{code}" : unit.encode("UTF-8") }
            elsif char
              ESCAPES.fetch(char, char)
            else
              ""
            end
          end
          .gsub(/\\u([dD][89abAB]\h\h)\\u([dD][c-fC-F]\h\h)/) do
            [0x10000 + ((Regexp.last_match(1).hex - 0xD800) << 10) + Regexp.last_match(2).hex - 0xDC00].pack(
              "U"
            )
          end
      end

      # Files that are pure ASCII keep to escapes, as the oldest readers of them need.
      def encoded(text)
        out =
          text.gsub(
            /[\\\n\t\r\f]/,
            "\\" => "\\\\",
            "\n" => "\\n",
            "\t" => "\\t",
            "\r" => "\\r",
            "\f" => "\\f"
          ).sub(/\A /, "\\ ")
        if @text.ascii_only? && @source.encoding == "UTF-8"
          out.gsub(/[^\x00-\x7F]/) { |char| escaped(char) }
        else
          out
        end
      end

      def escaped(char) = char.encode("UTF-16BE").unpack("n*").map { |unit| format("\\u%04X", unit) }.join
    end
  end
end
