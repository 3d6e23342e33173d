# Finds where a text breaks into segments, by SRX rules.
require "timeout"

module Glossema
  module Segmentation
    class Segmenter
      # How far back a rule may look; longer texts are cut there, shorter ones are seen from their start.
      WINDOW = 400
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
      rescue Timeout::Error
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
        candidates = @rules.select(&:breaks).flat_map { |rule| rule.candidates(text) }.uniq.sort
        candidates.select { |position| position.between?(1, text.length - 1) && break?(text, position) }
      end

      def break?(text, position)
        window = text[[position - WINDOW, 0].max...position]
        @rules.find { |rule| rule.holds?(text, position, window) }&.breaks
      end
    end
  end
end
