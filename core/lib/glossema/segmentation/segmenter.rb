# Finds where a text breaks into segments, by SRX rules.
require "strscan"

module Glossema
  module Segmentation
    class Segmenter
      # How far back a rule may look; longer texts are cut there, shorter ones are seen from their start.
      WINDOW = 400
      # Longer texts are looked at in blocks, each with so much of what stands before and behind it.
      BLOCK, BEHIND = 1600, 200
      # Rules that are not ours and take longer than so many seconds in one text are refused.
      SECONDS = 3

      # language: BCP 47 tag; by: "sentence" or "paragraph"; rules: an Srx.
      def initialize(language, by: "sentence", rules: Srx.default)
        @by = by
        @rules = rules.rules_for(language)
        @bounded = !rules.equal?(Srx.default)
      end

      # Code point offsets in the text at which a new segment begins; without 0 and the end. At each place the
      # first rule that holds decides. Raises Refused "rule-slow".
      def breaks(text)
        return [] if @by == "paragraph"
        return found_breaks(text) unless @bounded

        Timeout.timeout(SECONDS) { found_breaks(text) }
      rescue *Expression::TOO_SLOW
        raise Refused.new("rule-slow", text: text[0, 40])
      end

      # A text as these rules cut it beside how others do: for each line its segments, each with whether the
      # other does not have it, [{text:, changed:}]; and how many segments each gives.
      def compare(text, other)
        now, mine = [other, self].map { |one| text.lines(chomp: true).map { |line| one.segments(line) } }
        {
          lines:
            mine
              .zip(now)
              .map do |own, theirs|
                own.map { |segment| { text: segment, changed: !theirs.include?(segment) } }
              end,
          before: now.sum(&:size),
          after: mine.sum(&:size)
        }
      end

      # The segments of a running text as strings without white space at their ends. A line end always ends a
      # segment.
      def segments(text)
        text
          .split(/\r\n|[\r\n\u2028\u2029]/)
          .flat_map do |line|
            edges = [0, *breaks(line), line.length]
            edges.each_cons(2).map { |from, to| line[from...to].gsub(/\A[[:space:]]+|[[:space:]]+\z/, "") }
          end
          .reject(&:empty?)
      end

      private

      def found_breaks(text)
        length = text.length
        return breaks_within(text, 1...length) if length <= BLOCK

        blocks(text, length).flat_map { |block, from, inside|
          breaks_within(block, inside).map { |place| place + from }
        }
      end

      # [[a block with what stands around it, where that begins, the places that are looked at in it] …]
      def blocks(text, length)
        starts = (0...length).step(BLOCK).to_a
        pieces = Offsets.pieces(text, starts.drop(1))
        starts.each_with_index.map do |start, index|
          before = index.zero? ? "" : pieces[index - 1][-WINDOW..]
          from, piece = before.length, pieces[index]
          ["#{before}#{piece}#{pieces[index + 1].to_s[0, BEHIND]}", start - from,
           [from, 1].max...(from + piece.length)]
        end
      end

      # Places in a range at which a new segment begins.
      def breaks_within(text, range)
        candidates = @rules.select(&:breaks).flat_map { |rule| rule.candidates(text) }.uniq.sort
        scanner, rest, at = StringScanner.new(text, fixed_anchor: true), text, 0
        candidates.select do |place|
          rest = rest.byteslice(rest[0, place - at].bytesize..)
          at = place
          scanner.pos = text.bytesize - rest.bytesize
          range.cover?(place) && break?(scanner, text[[place - WINDOW, 0].max...place])
        end
      end

      # scanner: at the place; window: what stands before it.
      def break?(scanner, window) = @rules.find { |rule| rule.holds?(scanner, window) }&.breaks
    end
  end
end
