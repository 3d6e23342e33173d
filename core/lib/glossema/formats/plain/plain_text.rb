# Plain text: a line is a paragraph (option "paragraphs": "blank-line" takes a block between empty lines).
# Encoding, byte-order mark and line ends are kept.
module Glossema
  module Formats
    class PlainText < TextFile
      Formats.announce(self, rank: 90)

      NAME = "Text".freeze
      EXTENSIONS = %w[txt text log asc].freeze
      MEDIA_TYPE = "text/plain".freeze
      DEFAULTS = { "paragraphs" => Choice.new("line", %w[line blank-line]), "encoding" => "" }.freeze
      LINE_END = /(?>\r\n|\n|\r|\u2028|\u2029|\u0085)/

      def self.recognises?(bytes, name)
        EncodedText.text?(bytes) && (EncodedText.marked?(bytes) || EncodedText.wide?(bytes) || ending?(name))
      end

      private

      def scan
        block = @options["paragraphs"] == "blank-line"
        divider = block ? /((?:#{LINE_END})(?:[ \t]*(?:#{LINE_END}))+)/ : /(#{LINE_END})/
        number, at = 0, 0
        @text
          .split(divider, -1)
          .reject(&:empty?)
          .each_with_index do |piece, index|
            from, at = at, at + piece.bytesize
            next unless piece.match?(/[^[:space:]]/)

            number += 1
            place(
              "l#{index}",
              from,
              at,
              Content.text(block ? piece.gsub(LINE_END, "\n") : piece),
              location: Location.new(block ? "paragraph" : "line", number: number)
            ) { |content| content.text.gsub("\n", block ? line_end : " ") }
          end
      end
    end
  end
end
