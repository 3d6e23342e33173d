# Cuts the units of an exchange file (TMX, TBX) out of a stream of XML, one by one, so that size does not
# matter and a damaged one costs no more than itself.
module Glossema
  module Exchange
    class ElementStream
      # A unit that cannot be read: its line and why.
      Fault = Struct.new(:line, :message)

      CHUNK = 1 << 20
      # A unit this long is no unit.
      LONGEST = 16 << 20
      # What looks like a unit in these is none.
      ASLEEP = /<!--.*?-->|<!\[CDATA\[.*?\]\]>/mn
      # Entities of the file's own, of plain text. Together they may grow to so many bytes.
      ENTITY = /<!ENTITY\s+([\w:.-]+)\s+(?:"([^"]*)"|'([^']*)')\s*>/n
      GROWN = 10_000
      # By the mark a file begins with, or by its first character, which is "<".
      ENCODINGS = {
        "\xFF\xFE".b => "UTF-16LE",
        "\xFE\xFF".b => "UTF-16BE",
        "<\0".b => "UTF-16LE",
        "\0<".b => "UTF-16BE"
      }.freeze

      # head: the bytes before the first unit; tail: those after the last; faults: [Fault].
      attr_reader :head, :tail, :faults

      # kind: what the refusal is called, "not-…"; roots: names of root elements; elements: of units.
      def initialize(io, name, kind:, roots:, elements:)
        @io, @name, @kind, @roots = io, name, kind, roots
        names = elements.join("|")
        @start = /<(?:#{names})[\s>]|<!--/n
        @border = %r{#{ASLEEP}|</(?:#{names})\s*>|<(?:#{names})[\s>]}mn
        @buffer, @at, @line, @bytes = +"".b, 0, 1, 0
        @gap = +"".b
        @faults, @head = [], nil
      end

      # Yields the bytes of each unit (in UTF-8), the line it begins at, and how many bytes of the file were
      # read by then. A Nokogiri::XML::SyntaxError raised there becomes a fault at its line. Raises Refused
      # when the file is of another kind.
      def each(&block)
        open
        while (from = find(@start))
          @head ||= @buffer.byteslice(@at, from - @at) if @buffer.byteslice(from, 2) != "<!"
          pass(from)
          @buffer.byteslice(from, 2) == "<!" ? leave_comment : take(&block)
        end
        @tail = "#{@gap}#{@buffer.byteslice(@at..)}"
        return if @tail.match?(%r{</(?:#{@roots.join("|")})\s*>}n)

        fault("the file ends in the middle; what came before was read")
      end

      # Notes what is wrong with the unit at hand.
      def fault(message, line = @line)
        @faults << Fault.new(line, message)
        nil
      end

      private

      # Up to the root.
      def open
        @io.binmode if @io.respond_to?(:binmode)
        head = @io.read(CHUNK).to_s
        encoding = ENCODINGS[head[0, 2].b] ||
          head[/\A.{0,10}<\?xml[^>]*encoding\s*=\s*["']([\w-]+)/mn, 1] || "UTF-8"
        @converter = converter(encoding)
        feed(head)
        root = /<(?:#{@roots.join("|")})[\s>]/n
        fill until @ended || @buffer.match?(root) || @buffer.bytesize > (4 * CHUNK)
        found = @buffer.gsub(/<!--.*?-->/mn, "")[/<([A-Za-z_][\w:.-]*)/n, 1]
        unless @roots.include?(found)
          raise Refused.new("not-#{@kind}.other-root", name: @name, root: found) if found

          raise Refused.new("not-#{@kind}.no-root", name: @name)
        end

        start = find(root)
        @entities = entities(@buffer.byteslice(0, start))
        pass(start)
      end

      def converter(encoding)
        return if %w[UTF-8 US-ASCII].include?(encoding.upcase)

        Encoding::Converter.new(encoding, "UTF-8", invalid: :replace, undef: :replace)
      rescue Encoding::ConverterNotFoundError
        raise Refused.new("encoding-unknown.declared", name: @name, encoding: encoding)
      end

      # {name => text} of the entities a file declares itself; those that name others are resolved, within
      # bounds.
      def entities(head)
        declared =
          head
            .gsub(/<!--.*?-->/mn, "")
            .scan(ENTITY)
            .to_h { |name, double, single| [name, double || single] }
            .select { |_, text| text.bytesize <= GROWN }
        5.times { declared = declared.transform_values { |text| named(text, declared) } }
        declared
      end

      # The text with entities put in, as long as it does not grow too much; what is left then is a fault of
      # its unit.
      def named(text, entities)
        grown = 0
        text.gsub(/&([\w:.-]+);/n) do |name|
          value = entities[Regexp.last_match(1)]
          value && (grown += value.bytesize) <= GROWN ? value : name
        end
      end

      def feed(bytes)
        @bytes += bytes.bytesize
        @buffer << (@converter ? @converter.convert(bytes).b : bytes)
      end

      def fill
        chunk = @io.read(CHUNK)
        return @ended = true if chunk.nil? || chunk.empty?

        @buffer = @buffer.byteslice(@at..) if @at.positive?
        @at = 0
        feed(chunk)
      end

      # The place of a pattern from here on, reading on as needed.
      def find(pattern)
        loop do
          found = @buffer.index(pattern, @at)
          return found if found || @ended

          # What was looked through need not be again, but for a mark that may begin at its end. The head is
          # kept whole.
          leave_behind([@buffer.bytesize - 16, @at].max) if @head
          fill
        end
      end

      # What stands between units is kept until the next one, for the tail.
      def leave_behind(to)
        @gap << @buffer.byteslice(@at, to - @at) if @gap.bytesize < CHUNK
        pass(to)
      end

      def pass(to)
        @line += @buffer.byteslice(@at, to - @at).count("\n")
        @at = to
      end

      def take
        @gap.clear
        start = @line
        until (finish = finish_of_unit) || @ended || @buffer.bytesize - @at > LONGEST
          fill
        end
        return leave("the unit has no end") unless finish&.positive?

        raw = @buffer.byteslice(@at, finish - @at)
        raw = named(raw, @entities) if @entities.any? && raw.include?("&")
        begin
          yield raw, start, @bytes
        rescue Nokogiri::XML::SyntaxError => e
          message = e.message.sub(/\A\d+:\d+: (?:FATAL|ERROR): /, "").strip[0, 100]
          fault(message, start + [e.line.to_i - 1, 0].max)
        end
        pass(finish)
      end

      # Where the unit at hand ends; -1 where another begins before that, nil where the end is still to be
      # read.
      def finish_of_unit
        at = @at + 3
        while (found = @buffer.index(@border, at))
          at = Regexp.last_match.end(0)
          next if @buffer.getbyte(found + 1) == 0x21

          return @buffer.getbyte(found + 1) == 0x2F ? at : -1
        end
      end

      def leave_comment
        until (close = @buffer.index("-->", @at)) || @ended
          fill
        end
        pass(close ? close + 3 : @at + 4)
      end

      # Past the start of a unit that cannot be read.
      def leave(message)
        fault(message)
        pass(@at + 3)
      end
    end
  end
end
