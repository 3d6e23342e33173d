# Where the path through two long texts is looked for: around a chain of places that are surely opposite,
# because rare words, numbers or names stand in both.
module Glossema
  module Alignment
    class Band
      # A word is rare that stands in so many segments at most.
      RARE = 4
      # So far from the line between two anchors is looked, and around the anchors themselves.
      AROUND = 40
      AT_ANCHORS = 14
      # Rectangles between two anchors up to this many cells are looked at whole.
      WHOLE = 25_000
      # No more cells than this between two anchors, however far they are apart.
      MOST = 300_000
      # Anchors are thrown away that stand so far off what those around them say.
      ASTRAY = 25
      NEAR = 4

      # source, target: Side; lexicon: Lexicon. low, high: for each border of the source 0..n the borders of
      # the target that may be opposite.
      attr_reader :low, :high, :anchors

      def initialize(source, target, lexicon)
        @source, @target, @lexicon = source, target, lexicon
        @anchors = whole? ? [] : sound(chain(candidates))
        @low, @high = Array.new(source.size + 1, target.size), Array.new(source.size + 1, 0)
        [[-1, -1], *@anchors, [source.size, target.size]].each_cons(2) { |from, to| between(from, to) }
        smooth
      end

      def cells = @low.zip(@high).sum { |from, to| to - from + 1 }

      private

      def whole? = @source.size * @target.size <= WHOLE * 4

      # {[source, target] => weight}
      def candidates
        found = Hash.new(0.0)
        @source.places.each do |token, ones|
          next if ones.size > RARE

          @lexicon.strengths(token).each do |other, strength|
            others = @target.places[other] or next
            next if others.size > RARE

            weight = strength * @source.weight(token) / (ones.size * others.size)
            ones.product(others) { |pair| found[pair] += weight }
          end
        end
        found
      end

      # The heaviest chain that rises on both sides.
      def chain(found)
        pairs = found.sort_by { |(one, other), _| [one, -other] }
        best = Fenwick.new(@target.size)
        ends = pairs.each_with_index.map do |((_, other), weight), index|
          sum, before = best.max_before(other)
          best.put(other, sum + weight, index)
          [sum + weight, before]
        end
        at = ends.each_index.max_by { |index| ends[index].first }
        walked(pairs, ends, at)
      end

      def walked(pairs, ends, at)
        list = []
        while at
          list << pairs[at].first
          at = ends[at].last
        end
        list.reverse
      end

      def sound(list)
        list.each_with_index.select { |(one, other), index|
          around = list[[index - NEAR, 0].max..(index + NEAR)].map { |a, b| b - a }.sort
          (other - one - around[around.size / 2]).abs <= ASTRAY
        }.map(&:first)
      end

      # Between two anchors: all of a small rectangle, else what lies around its diagonal.
      def between(from, to)
        (one, other), (last, final) = from, to
        rows, columns = last - one, final - other
        wide = rows * columns <= WHOLE ? columns + 2 : AROUND + ((rows - columns).abs / 2)
        wide = [wide, (MOST / (2 * rows)) + 4].min if rows.positive?
        (0..rows).each do |step|
          middle = other + (columns * step).fdiv(rows).round
          widen(one + step, middle - wide, middle + wide + 1)
        end
      end

      def widen(row, from, to)
        return if row.negative? || row > @source.size

        @low[row] = [[@low[row], from].min, 0].max
        @high[row] = [[@high[row], to].max, @target.size].min
      end

      # Around anchors, which are sure but not holy; both borders only rise.
      def smooth
        @anchors.each { |one, other|
          (-3..4).each { |step|
            widen(one + step, other - AT_ANCHORS, other + AT_ANCHORS)
          }
        }
        @low[0], @high[-1] = 0, @target.size
        (@source.size - 1).downto(0) { |row| @low[row] = @low[row + 1] if @low[row] > @low[row + 1] }
        (1..@source.size).each { |row| @high[row] = @high[row - 1] if @high[row] < @high[row - 1] }
      end

      # The largest of what was put before a place, in a tree of sums (Fenwick 1994).
      class Fenwick
        def initialize(size)
          @values = Array.new(size + 2) { [0.0, nil] }
        end

        def put(place, value, mark)
          at = place + 1
          while at < @values.size
            @values[at] = [value, mark] if value > @values[at].first
            at += at & -at
          end
        end

        def max_before(place)
          best, at = [0.0, nil], place
          while at.positive?
            best = @values[at] if @values[at].first > best.first
            at -= at & -at
          end
          best
        end
      end
    end
  end
end
