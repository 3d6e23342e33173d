# How much of what two segments say is the same, by the words that a lexicon pairs: row by row, inside a band.
module Glossema
  module Alignment
    class Evidence
      # [row of the source][target less the first target of the band] → weight of words that are explained on both
      # sides.
      attr_reader :rows, :firsts

      def initialize(source, target, lexicon, band)
        @source, @target, @lexicon = source, target, lexicon
        @firsts = Array.new(source.size) { |row| band.low[row] }
        @rows = Array.new(source.size) do |row|
          last = [band.high[row + 1] - 1, target.size - 1].min
          row(row, band.low[row], last)
        end
      end

      # Of one segment and one: as the band was filled.
      def at(row, column)
        line, place = @rows[row], column - @firsts[row]
        place >= 0 && place < line.size ? line[place] : 0.0
      end

      # At most so much for several segments: what two of them share counts twice.
      def at_most(ones, others)
        ones.sum { |row| others.sum { |column| at(row, column) } }
      end

      # Of several segments together, each word once.
      def between(ones, others)
        sources, targets = words(@source, ones), words(@target, others)
        there = targets.to_h { |token| [token, 0.0] }
        found = sources.sum do |token|
          best = 0.0
          @lexicon.of(token).each do |other, strength|
            known = there[other] or next
            there[other] = strength if strength > known
            best = strength if strength > best
          end
          best * @source.weight(token)
        end
        found + there.sum { |token, strength| strength * @target.weight(token) }
      end

      private

      def words(side, range)
        return side.tokens[range.begin] if range.size == 1

        range.flat_map { |index| side.tokens[index] }.uniq
      end

      def row(index, first, last)
        sums = Array.new([last - first + 1, 0].max, 0.0)
        explained = {}
        @source.tokens[index].each { |token| one_token(token, first, last, sums, explained) }
        explained.each { |other, strength| in_places(other, strength * @target.weight(other), first, last, sums) }
        sums
      end

      # A source token counts in each target as much as the best of what it is paired with there; which target
      # tokens are explained by it is gathered beside.
      def one_token(token, first, last, sums, explained)
        pairs = @lexicon.of(token)
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
