# A translation put together from smaller parts where no match is good: whole units that stand in the text as
# phrases, terms, and what is carried over. What nothing is known of stays as it is in the source.
module Glossema
  module Matching
    class Assembly
      # A phrase has so many words at most.
      LONGEST = 8
      # Longer texts, in characters, are no sentences.
      LONGEST_TEXT = 5_000
      # Less than this share of the words is no help.
      LEAST = 0.5
      # A part that is known: from…to in the text, and what it becomes; kind: "phrase", "term" or "carried".
      Part = Struct.new(:from, :to, :text, :kind)
      # target: Content; words: of the text; known: how many of them are translated; kinds: of the parts used.
      Result = Struct.new(:target, :words, :known, :kinds)
      WORD = /[\p{L}\p{M}\p{N}]+(?:['’\-.,][\p{L}\p{M}\p{N}]+)*/
      # Phrases do not reach over these.
      BORDER = /[.!?;:()\[\]"“”«»]/
      BEGINNING = /\A[^\p{L}\p{N}]*\z|[.!?]\s+\z/
      ORDER = %w[phrase term carried].freeze

      # phrases: answers translations([texts]) → {text => [texts]}; the block answers the terms and carried
      # forms of a text, [Part …].
      def initialize(phrases, &parts)
        @phrases, @parts = phrases, parts
      end

      # content → Result, or nil where too little is known.
      def assemble(content)
        return if content.text.length > LONGEST_TEXT

        used, words = [], 0
        items = content.items.map do |item|
          next item unless item.is_a?(String)

          words += item.scan(WORD).size
          chosen = chosen(item)
          used.concat(chosen.map { |part| [part.kind, item[part.from...part.to].scan(WORD).size] })
          put_together(item, chosen)
        end
        known = used.sum(&:last)
        return if words < 2 || known < words * LEAST

        Result.new(begun_as(content, Content.new(items)), words, known, used.map(&:first).uniq)
      end

      private

      # Parts that do not overlap, those of more words first.
      def chosen(text)
        all = spans(text) + @parts.call(text)
        all.sort_by { |part| [-text[part.from...part.to].scan(WORD).size, ORDER.index(part.kind), part.from] }
          .each_with_object([]) do |part, taken|
            taken << part if taken.none? { |other| part.from < other.to && other.from < part.to }
          end
      end

      def spans(text)
        places = Offsets.all(text, WORD)
        found = places.each_index.flat_map do |at|
          (1..LONGEST).filter_map { |size| span(text, places[at, size], size) }
        end
        known = @phrases.translations(found.map { |from, to| text[from...to] }.uniq)
        found.filter_map do |from, to|
          first = known[text[from...to]]&.first
          Part.new(from, to, first, "phrase") if first
        end
      end

      def span(text, places, size)
        return if places.size < size

        from, to = places.first.first, places.last.last
        [from, to] unless text[from...to].match?(BORDER)
      end

      def put_together(text, parts)
        at, made = 0, +""
        parts.sort_by(&:from).each do |part|
          made << text[at...part.from] << placed(part, text)
          at = part.to
        end
        made << text[at..]
      end

      # With a capital where a sentence begins with one.
      def placed(part, text)
        begins = text[0...part.from].match?(BEGINNING) && text[part.from].match?(/\p{Lu}/)
        begins ? part.text.sub(/\p{L}/, &:upcase) : part.text
      end

      # It begins with a capital where the text does.
      def begun_as(content, target)
        return target unless content.text.match?(/\A[^\p{L}]*\p{Lu}/)

        first = target.items.index { |item| item.is_a?(String) && item.match?(/\p{L}/) } or return target
        items = target.items.dup
        items[first] = items[first].sub(/\p{L}/, &:upcase)
        Content.new(items)
      end
    end
  end
end
