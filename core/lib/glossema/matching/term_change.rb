# Finds the one known term by which a memory's source differs from today's, and where its translation stands
# in the memory's target.
module Glossema
  module Matching
    # today, stored: the units of both sources without the term; place: [from, to, text] in the target's text.
    class TermChange < Struct.new(:today, :stored, :place)
      # A term has so many words at most, and may reach so many words beyond what differs.
      WORDS = 4
      BESIDE = 2

      # terms: answers translations([texts]) → {text => [texts]}. Returns a TermChange, nil where no known
      # term explains the difference.
      def self.find(text, units, stored_text, stored, target, terms, lang) =
        Search.new(text, units, stored_text, stored, target, lang).result(terms)

      class Search
        def initialize(text, units, stored_text, stored, target, lang)
          @texts, @units, @target, @lang = [text, stored_text], [units, stored], target, lang
          @head = shared(units, stored)
          @tail = [shared(units.reverse, stored.reverse), [units.size, stored.size].min - @head].min
        end

        def result(terms)
          spans = spans()
          return if spans.empty?

          known = terms.translations(spans.flat_map { |span| words(span) }.uniq)
          spans.each do |span|
            now, before = words(span).map { |word| known[word].to_a }
            before.each do |old|
              place = place_of(old) or next
              if now.any? && now.first != old
                return TermChange.new(*rest(span), [*place, cased(now.first, @target[place[0]])])
              end
            end
          end
          nil
        end

        private

        # How many units two lists begin with that are the same or could be adapted.
        def shared(one, other)
          shorter = [one.size, other.size].min
          (0...shorter).find { |at| !Adapted.alike?([one[at]], [other[at]], @lang) } || shorter
        end

        # [[range of units today, range in the memory], …], the narrowest first.
        def spans
          sizes = @units.map { |list| list.size - @head - @tail }
          return [] if sizes.any? { |size| size > WORDS }

          around =
            (0..BESIDE).to_a.product((0..BESIDE).to_a).sort_by { |before, after| [before + after, before] }
          around.filter_map do |before, after|
            next if before > @head || after > @tail || frame(before, after).zero?

            span = sizes.map { |size| (@head - before)...(@head + size + after) }
            if span
                .zip(@units)
                .all? { |range, list|
                  (1..WORDS).cover?(range.size) && list[range].all? { |unit| unit.kind == :word }
                }
              span
            end
          end
        end

        # How many words stand around a term; where there are none, it is no adapted match but another term.
        def frame(before, after) =
          [*@units[0].first(@head - before), *@units[0].last(@tail - after)].count do |unit|
            unit.kind == :word
          end

        def words(span) =
          span.each_with_index.map do |range, side|
            @texts[side][@units[side][range.first].from...@units[side][range.last - 1].to]
          end

        def rest(span) =
          span.each_with_index.map do |range, side|
            @units[side].each_with_index.reject { |_, index| range.cover?(index) }.map(&:first)
          end

        # Where it stands in the target, as whole words and only once.
        def place_of(text)
          found = Offsets.all(@target, /(?<![[:alnum:]])#{Regexp.escape(text)}(?![[:alnum:]])/i)
          found.first if found.size == 1
        end

        # With a capital where there is one now.
        def cased(text, there)
          return text if text.match?(/\A\p{Lu}{2}/)

          there.match?(/\p{Lu}/) ? text.sub(/\A./, &:upcase) : text.sub(/\A./, &:downcase)
        end
      end
      private_constant :Search
    end
  end
end
