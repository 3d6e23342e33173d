# Where the tags of a text end, the quotes of their attributes heeded. Every quote is followed once, so that a
# text full of tags without an end is read as fast as any other. Places are of bytes.
require "strscan"

module Glossema
  module Formats
    class TagEnds
      def initialize(text)
        @text, @scanner, @ends = text, StringScanner.new(text), {}
        # Between these two there is neither a bracket nor a quote.
        @from, @mark = 0, -1
      end

      # The place behind the bracket that ends the tag a place lies in; nil where none does.
      def after(place)
        passed, found = [], nil
        while place && (mark = next_mark(place))
          break found = @ends[mark] if @ends.key?(mark)
          break found = mark + 1 if @text.getbyte(mark) == ">".ord

          passed << mark
          place = behind_quote(mark)
        end
        passed.each { |quote| @ends[quote] = found }
        found
      end

      private

      def next_mark(place)
        unless place.between?(@from, @mark)
          @scanner.pos = place
          @from, @mark = place, @scanner.skip_until(/[>"']/) ? @scanner.pos - 1 : @text.bytesize
        end
        @mark if @mark < @text.bytesize
      end

      def behind_quote(mark)
        @scanner.pos = mark + 1
        @scanner.skip_until(@text.getbyte(mark) == '"'.ord ? /"/ : /'/) && @scanner.pos
      end
    end
  end
end
