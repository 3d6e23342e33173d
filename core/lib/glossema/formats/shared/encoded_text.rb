# The bytes of a text file as characters, and back: encoding, byte-order mark and what the encoding cannot
# hold.
autoload :CharDet, "rchardet"

module Glossema
  module Formats
    class EncodedText
      MARKS = {
        "UTF-8" => "\xEF\xBB\xBF".b,
        "UTF-32LE" => "\xFF\xFE\0\0".b,
        "UTF-32BE" => "\0\0\xFE\xFF".b,
        "UTF-16LE" => "\xFF\xFE".b,
        "UTF-16BE" => "\xFE\xFF".b
      }.freeze
      # What a text says of itself: an XML declaration, a meta element, a CSS-like charset.
      DECLARED = /\A\s*<\?xml[^>]*?encoding\s*=\s*["']([\w.:-]+)|<meta[^>]+charset\s*=\s*["']?([\w.:-]+)/in
      # Guesses of the detector that are worth more than Windows-1252.
      TRUSTED =
        /\A(?:Shift_JIS|EUC-JP|EUC-KR|EUC-TW|Big5|GB\d+|HZ-GB-2312|windows-125[0-8]|KOI8-R|ISO-8859-\d+|TIS-620|CP949|ISO-2022-JP)\z/i

      # Every second byte zero: UTF-16 without a mark.
      def self.wide?(bytes)
        sample = bytes.byteslice(0, 2000)
        return false if sample.bytesize < 4

        pairs = sample.bytes.each_slice(2).to_a
        [0, 1].any? do |at|
          pairs.count { |pair| pair[at] == 0 } > pairs.size * 0.7 && pairs.none? { |pair| pair[1 - at] == 0 }
        end
      end

      def self.marked?(bytes) = MARKS.any? { |_, mark| bytes.start_with?(mark) }

      # Text, as far as bytes can tell: no zeros, and hardly any control characters that text does not have.
      def self.text?(bytes)
        return true if marked?(bytes)
        if Container.zip?(bytes) ||
            bytes.start_with?("%PDF-".b, "\x89PNG".b, "\xFF\xD8\xFF".b, "GIF8".b, "{\\rtf".b)
          return false
        end

        return true if wide?(bytes)

        sample = bytes.byteslice(0, 65_536)
        !sample.include?("\0") && sample.count("\x01-\x08\x0E-\x1A\x1C-\x1F") <= sample.bytesize / 500
      end

      # The beginning of a file as text, for recognising it. Never raises.
      def self.head(bytes, size = 20_000)
        mark = MARKS.find { |_, value| bytes.start_with?(value) }
        sample = bytes.byteslice(mark ? mark[1].bytesize : 0, size)
        encoding = mark&.first || (wide?(bytes) ? wide_name(bytes) : "UTF-8")
        sample.force_encoding(encoding).encode("UTF-8", invalid: :replace, undef: :replace).scrub
      end

      def self.wide_name(bytes) =
        if bytes.byteslice(0, 2000).bytes.each_slice(2).count { |pair| pair[0] == 0 } > 1
          "UTF-16BE"
        else
          "UTF-16LE"
        end

      attr_reader :text, :encoding

      # wanted: an encoding the user named, or nil; declares: does this format name its encoding inside?
      # Raises Refused "damaged" or "encoding-unknown".
      def initialize(bytes, name, wanted: nil, declares: false, forgiving: false)
        @name = name
        bytes = bytes.b
        @encoding, @mark = MARKS.find { |_, mark| bytes.start_with?(mark) } || [nil, "".b]
        body = bytes.byteslice(@mark.bytesize..)
        @encoding ||= known(wanted) || (declares && declared_encoding(body, forgiving)) || guess(body)
        @text = body.force_encoding(@encoding).encode("UTF-8")
        raise EncodingError, "invalid" unless @text.valid_encoding?
      rescue EncodingError
        raise Refused.new("damaged.encoding", name: name, encoding: @encoding)
      end

      # text → bytes in the encoding of the file. The block is given a character the encoding lacks and
      # answers how to write it; without a block such a text becomes UTF-8 with a mark.
      def bytes(text, &block)
        return @mark + text.b if @encoding == "UTF-8"
        return @mark + text.encode(@encoding, fallback: ->(char) { yield(char) }).b if block

        @mark + text.encode(@encoding).b
      rescue EncodingError
        MARKS["UTF-8"] + text.b
      end

      private

      def declared(body)
        sample = body.byteslice(0, 4000)
        return nil if self.class.wide?(body)

        sample.match(DECLARED)&.captures&.compact&.first
      end

      # The encoding that the text names. Browsers forgive a text that is not in it, or one that nobody knows.
      def declared_encoding(body, forgiving)
        label = declared(body) or return nil
        known(label) unless forgiving && !valid_in?(body, label)
      end

      def known(label)
        return nil if label.to_s.empty?
        # What calls itself so is read by everybody as its larger relative.
        return "Windows-1252" if label.match?(/\A(?:iso-8859-1|latin-?1|us-ascii|ascii)\z/i)
        return "Windows-31J" if label.match?(/\Ashift[_-]jis\z/i)
        return "UTF-16LE" if label.match?(/\Autf-16\z/i)

        Encoding.find(label).name
      rescue ArgumentError
        raise Refused.new(
          "encoding-unknown.label", name: @name, label: label[0, 30]
        )
      end

      def guess(body)
        return self.class.wide_name(body) if self.class.wide?(body)
        return "UTF-8" if body.dup.force_encoding("UTF-8").valid_encoding?

        sample = body.byteslice(0, 60_000)
        # A handful of letters is too little to tell one encoding from another.
        found = sample.scan(/[\x80-\xFF]/n).size > 12 && CharDet.detect(sample)
        label = found && found["encoding"]
        if found && found["confidence"].to_f > 0.7 && label.to_s.match?(TRUSTED) && valid_in?(body, label)
          return known(label)
        end

        body.match?(/[\x81\x8D\x8F\x90\x9D]/n) ? "ISO-8859-1" : "Windows-1252"
      end

      def valid_in?(body, label)
        text = body.dup.force_encoding(known(label))
        text.encode("UTF-8")
        text.valid_encoding?
      rescue EncodingError, Refused
        false
      end
    end
  end
end
