# Apple strings: "key" = "text"; with comments as notes.
module Glossema
  module Formats
    class AppleStrings < KeyedFile
      Formats.announce(self, rank: 61)

      NAME = "Apple strings".freeze
      EXTENSIONS = %w[strings].freeze
      MEDIA_TYPE = "text/plain".freeze
      DEFAULTS = { "plurals" => true, "target_language" => Inner.new(""), "encoding" => "" }.freeze
      ESCAPES = { "n" => "\n", "t" => "\t", "r" => "\r" }.freeze

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      private

      def scan
        scanner, note = StringScanner.new(@text), nil
        until scanner.eos?
          if scanner.scan(%r{/\*(.*?)\*/}m)
            note = scanner[1].gsub(/\s+/, " ").strip
          elsif scanner.scan(%r{//([^\r\n]*)})
            note = scanner[1].strip
          elsif scanner.scan(/("(?:[^"\\]|\\.)*"|[\w.-]+)(\s*=\s*)"/m)
            key, from = scanner[1].delete_prefix('"').delete_suffix('"'), scanner.pos
            scanner.skip(/(?:[^"\\]|\\.)*/m)
            to = scanner.pos
            damaged("text-without-end", from) unless scanner.skip(/"\s*;/)
            take(decode(key), from, to, note: note)
            note = nil
          elsif !scanner.skip(/\s+/)
            damaged("neither-comment-nor-text", scanner.pos)
          end
        end
      end

      def decode(raw)
        raw.gsub(/\\(?:[Uu](\h{4})|(.))/m) do
          if Regexp.last_match(1)
            [Regexp.last_match(1).hex].pack("U")
          else
            ESCAPES.fetch(Regexp.last_match(2), Regexp.last_match(2))
          end
        end
      end

      def encoded(text) = text.gsub(/["\\\n\t]/, '"' => "\\\"", "\\" => "\\\\", "\n" => "\\n", "\t" => "\\t")
    end
  end
end
