# INI: sections, keys and texts; the comment above a key is its note.
module Glossema
  module Formats
    class Ini < KeyedFile
      Formats.announce(self, rank: 62)

      NAME = "INI".freeze
      EXTENSIONS = %w[ini lng lang conf cfg].freeze
      MEDIA_TYPE = "text/plain".freeze
      DEFAULTS = { "plurals" => true, "target_language" => Inner.new(""), "encoding" => "" }.freeze

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      private

      def scan
        section, note, at = nil, [], 0
        @text
          .split(/(\r\n|\n|\r)/, -1)
          .each do |line|
            from, at = at, at + line.bytesize
            case line
            when /\A\s*[;#](.*)/
              note << Regexp.last_match(1).strip
            when /\A\s*\[([^\]]*)\]/
              section, note = Regexp.last_match(1), []
            when /\A(\s*([^=]+?)\s*=\s*)(.*?)\s*\z/m
              lead, key, value = Regexp.last_match.captures
              quoted = value.length > 1 && value.match?(/\A(["']).*\1\z/m)
              start = from + lead.bytesize + (quoted ? 1 : 0)
              take(
                [section, key].compact.join("."),
                start,
                from + lead.bytesize + value.bytesize - (quoted ? 1 : 0),
                note: note.join(" ")
              )
              note = []
            when /\A(?:\r\n|\n|\r)\z/
              next
            else
              note = []
            end
          end
      end

      def decode(raw) = raw.gsub("\\n", "\n")
      def encoded(text) = text.gsub("\n", "\\n")
    end
  end
end
