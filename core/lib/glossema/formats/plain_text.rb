# Plain text: a line is a paragraph (option "paragraphs": "blank-line" takes a block between empty lines).
# Encoding, byte-order mark and line ends are kept.
module Glossema
  module Formats
    class PlainText
      NAME = "Text".freeze
      EXTENSIONS = %w[txt text].freeze
      MEDIA_TYPE = "text/plain".freeze
      MARKS = { "UTF-8" => "\xEF\xBB\xBF".b, "UTF-32LE" => "\xFF\xFE\0\0".b, "UTF-32BE" => "\0\0\xFE\xFF".b,
                "UTF-16LE" => "\xFF\xFE".b, "UTF-16BE" => "\xFE\xFF".b }.freeze
      LINE_END = /\r\n|\n|\r|\u2028|\u2029|\u0085/

      # Text is what holds no control characters that text never has.
      def self.recognises?(bytes, name)
        return true if MARKS.any? { |_, mark| bytes.start_with?(mark) }
        return false if Container.zip?(bytes) || bytes.start_with?("%PDF-".b, "\x89PNG".b, "\xFF\xD8\xFF".b, "GIF8".b, "{\\rtf".b)

        wide?(bytes) || (!bytes.match?(/[\x00-\x08\x0E-\x1A\x1C-\x1F]/n) && EXTENSIONS.include?(File.extname(name).delete(".").downcase))
      end

      # Every second byte zero: UTF-16 without a mark.
      def self.wide?(bytes)
        sample = bytes.byteslice(0, 2000)
        return false if sample.bytesize < 4

        pairs = sample.bytes.each_slice(2).to_a
        [0, 1].any? { |at| pairs.count { |pair| pair[at] == 0 } > pairs.size * 0.7 && pairs.none? { |pair| pair[1 - at] == 0 } }
      end

      def self.read(bytes, name:, options: {}) = new(bytes, name, options)

      attr_reader :units, :encoding, :options

      def initialize(bytes, name, options)
        @name, @options = name, options
        decode(bytes.b)
        @block = options["paragraphs"] == "blank-line"
        @pieces = cut
        number = 0
        @units = @pieces.each_with_index.filter_map do |piece, index|
          next unless piece.match?(/[^[:space:]]/)

          number += 1
          Unit.new(id: "l#{index}", path: "#{@block ? 'paragraph' : 'line'} #{number}", block: "line", content: Content.text(piece))
        end
      end

      def source_language = nil

      def write(contents, **)
        ends = @text.match(LINE_END)&.[](0) || "\n"
        text = @pieces.each_with_index.map do |piece, index|
          content = contents["l#{index}"]
          content ? content.text.gsub("\n", @block ? ends : " ") : piece
        end.join
        encode(text)
      end

      def preview
        by_id = units.to_h { |unit| [unit.id, unit] }
        @pieces.each_with_index.filter_map do |_, index|
          unit = by_id["l#{index}"]
          unit && "<p>#{yield unit}</p>"
        end.join("\n")
      end

      def untouched(other)
        one, two = [self, other].map { |file| file.line_ends }
        one == two ? [] : ["line ends"]
      end

      def line_ends = @pieces.reject { |piece| piece.match?(/[^[:space:]]/) }

      private

      def decode(bytes)
        @encoding, @mark = MARKS.find { |_, mark| bytes.start_with?(mark) } || [nil, "".b]
        body = bytes.byteslice(@mark.bytesize..)
        @encoding ||= if body.dup.force_encoding("UTF-8").valid_encoding? && !self.class.wide?(body) then "UTF-8"
                      elsif self.class.wide?(body) then body.bytes.each_slice(2).count { |pair| pair[0] == 0 } > body.bytesize / 4 ? "UTF-16BE" : "UTF-16LE"
                      else body.match?(/[\x81\x8D\x8F\x90\x9D]/n) ? "ISO-8859-1" : "Windows-1252"
                      end
        @text = body.force_encoding(@encoding).encode("UTF-8")
      rescue EncodingError
        raise Refused.new("damaged", "#{@name} is damaged: it is not valid #{@encoding} text.")
      end

      def encode(text)
        @mark + text.encode(@encoding).b
      rescue EncodingError
        # The target language has letters the old encoding cannot hold.
        MARKS["UTF-8"] + text.b
      end

      # Alternating pieces of text and of line ends.
      def cut
        divider = @block ? /((?:#{LINE_END})(?:[ \t]*(?:#{LINE_END}))+)/ : /(#{LINE_END})/
        @text.split(divider, -1).reject(&:empty?)
      end
    end
  end
end
