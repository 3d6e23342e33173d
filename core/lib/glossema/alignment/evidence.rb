# How much of what segments say is the same, by the words that a lexicon pairs: for one and one row by row,
# inside a band; for several together word by word.
module Glossema
  module Alignment
    class Evidence
      def initialize(source, target, lexicon, band)
        @source, @target, @lexicon = source, target, lexicon
        @firsts = Array.new(source.size) { |row| band.low[row] }
        # [row of the source][target less the first target of the band] → weight of the words of the source,
        # of the target that are explained by the other.
        @of_source, @of_target = [], []
        # [row], [column] → {word of the other side => strength with which it is explained}
        @by_source, @by_target = [], []
        source.size.times { |row| fill(row, band.low[row], [band.high[row + 1] - 1, target.size - 1].min) }
      end

      # Of one segment and one.
      def single(row, column)
        place, line = column - @firsts[row], @of_source[row]
        return 0.0 if place.negative? || place >= line.size

        line[place] + @of_target[row][place]
      end

      # No more than this for several, the first ones row and column: what two of them share counts twice.
      def at_most(row, column, rows, columns)
        found, down = 0.0, 0
        while down < rows
          over = 0
          while over < columns
            found += single(row + down, column + over)
            over += 1
          end
          down += 1
        end
        found
      end

      # Of several segments together, each place of a word once.
      def together(row, column, rows, columns)
        found = 0.0
        if columns == 1
          rows.times { |down| found += of_source(row + down, column) }
        else
          rows.times { |down| found += explained(@source, row + down, @by_target, column, columns) }
        end
        return found + of_target(row, column, columns) if rows == 1

        columns.times { |over| found += explained(@target, column + over, @by_source, row, rows) }
        found
      end

      private

      def of_source(row, column)
        place, line = column - @firsts[row], @of_source[row]
        place.negative? || place >= line.size ? 0.0 : line[place]
      end

      def of_target(row, column, columns)
        first, line, found = @firsts[row], @of_target[row], 0.0
        columns.times do |over|
          place = column + over - first
          found += line[place] unless place.negative? || place >= line.size
        end
        found
      end

      # Weight of the words of a segment, explained by any of some of the other side.
      def explained(side, index, by, from, count)
        found = 0.0
        side.tokens[index].each do |token|
          best = 0.0
          count.times do |step|
            strength = by_other(side, by, from + step)[token]
            best = strength if strength && strength > best
          end
          found += best * side.weight(token) unless best.zero?
        end
        found
      end

      # What a segment of the other side explains of this one.
      def by_other(side, by, index)
        by[index] ||= all_of(side.equal?(@target) ? @source.tokens[index] : @target.tokens[index],
          side.equal?(@target) ? @lexicon : @lexicon.reversed)
      end

      def all_of(tokens, lexicon)
        tokens.each_with_object({}) do |token, found|
          lexicon.strengths(token).each do |other, strength|
            found[other] = strength if strength > found.fetch(other, 0)
          end
        end
      end

      def fill(index, first, last)
        size = [last - first + 1, 0].max
        sources, targets = Array.new(size, 0.0), Array.new(size, 0.0)
        explained = {}
        @source.tokens[index].each { |token| one_token(token, first, last, sources, explained) }
        explained.each do |other, strength|
          in_places(other, strength * @target.weight(other), first, last, targets)
        end
        @of_source << sources
        @of_target << targets
      end

      # A source token counts in each target as much as the best of what it is paired with there; which target
      # tokens are explained by it is gathered beside.
      def one_token(token, first, last, sums, explained)
        pairs = @lexicon.strengths(token)
        return if pairs.empty?

        weight, best = @source.weight(token), nil
        pairs.each do |other, strength|
          explained[other] = strength if strength > explained.fetch(other, 0)
          next in_places(other, strength * weight, first, last, sums) if pairs.size == 1

          best ||= {}
          places(other, first, last) { |at| best[at] = strength if strength > best.fetch(at, 0) }
        end
        best&.each { |at, strength| sums[at - first] += strength * weight }
      end

      def in_places(token, amount, first, last, sums)
        places(token, first, last) { |at| sums[at - first] += amount }
      end

      def places(token, first, last)
        list = @target.places[token] or return
        at = list.bsearch_index { |place| place >= first } or return
        size = list.size
        while at < size && list[at] <= last
          yield list[at]
          at += 1
        end
      end
    end
  end
end
