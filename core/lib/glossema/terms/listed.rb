# Words and patterns of a list as they stand in texts: things never to be translated, words never to be used.
# A pattern stands between slashes ("/TRN-\d{4}/", "/foo/i" in any case); anything else is looked for as whole
# words, as it is written.
module Glossema
  module Terms
    class Listed
      # A pattern that takes longer than so many seconds in one text is given up.
      SECONDS = 0.1
      LETTER = Languages::SPACED_LETTER
      PATTERN = %r{\A/(.+)/(i?)\z}m
      # One of them in a text: from…to is its place, item that of the list.
      Found = Struct.new(:from, :to, :text, :item)

      # Raises Refused "list-pattern" where an item is a pattern that cannot be one, or matches everything.
      def self.check(item)
        match = item.match(PATTERN) or return
        pattern = Expression.compile(match[1])
        return unless pattern.match?("")

        raise Refused.new("list-pattern.everything", pattern: item[0, 200])
      rescue RegexpError => e
        raise Refused.new("list-pattern.broken", pattern: item[0, 200], reason: e.message.split(":").first)
      end

      # Items that took too long so far.
      attr_reader :given_up

      # items: array of texts, all of which `check` lets pass.
      def initialize(items)
        @patterns = items.reject(&:empty?).uniq.to_h { |item| [item, pattern(item)] }
        @given_up = []
      end

      # text → [Found …] in order; where two overlap the longer one.
      def find(text)
        found = @patterns.flat_map { |item, pattern| places(text, item, pattern) }
        chosen = found.sort_by { |one| [one.from - one.to, one.from] }.each_with_object([]) do |one, taken|
          taken << one unless taken.any? { |other| one.from < other.to && other.from < one.to }
        end
        chosen.sort_by(&:from)
      end

      private

      def pattern(item)
        match = item.match(PATTERN)
        return Expression.compile(match[1], match[2] == "i" ? Regexp::IGNORECASE : 0) if match

        /(?<!#{LETTER})(?<!\p{N})#{Regexp.escape(item)}(?!#{LETTER}|\p{N})/
      end

      def places(text, item, pattern)
        return [] if @given_up.include?(item)

        Timeout.timeout(SECONDS) do
          found = []
          Offsets.each(text, pattern) do |matched, from, to|
            found << Found.new(from, to, matched, item) unless matched.empty?
          end
          found
        end
      rescue *Expression::TOO_SLOW
        @given_up << item
        []
      end
    end
  end
end
