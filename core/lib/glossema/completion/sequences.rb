# Which token follows which: counts of one and of two in a row. What they make of how likely a token comes
# next is in Bigrams.
module Glossema
  module Completion
    class Sequences
      attr_reader :total

      # start, stop: the ids that stand for the beginning and the end of a text.
      def initialize(start, stop)
        @start, @stop = start, stop
        @ones, @twos, @total = {}, {}, 0
      end

      # Takes in the ids of a text.
      def add(ids)
        last = @start
        [*ids, @stop].each do |id|
          @ones[id] = times(id) + 1
          row = @twos[last] ||= {}
          row[id] = (row[id] || 0) + 1
          @total += 1
          last = id
        end
        @sums = @frequent = nil
      end

      # How often an id was met.
      def times(id) = @ones[id] || 0

      # The most frequent ids.
      def frequent(count)
        (@frequent ||= {})[count] ||= @ones.max_by(count) { |_, times| times }.map(&:first)
      end

      # What followed an id: [how often anything did, how many different, {number => times}], the last of
      # those in numbers ({id => number}) only.
      def row(last, numbers)
        row = @twos[last] or return [0, 0, {}]
        found = {}
        if row.size < numbers.size
          row.each { |id, times| (number = numbers[id]) && found[number] = times }
        else
          numbers.each { |id, number| (times = row[id]) && found[number] = times }
        end
        [sum(last), row.size, found]
      end

      def marshal_dump = [@start, @stop, @ones, @twos, @total]
      def marshal_load(state) = (@start, @stop, @ones, @twos, @total = state)

      private

      def sum(last) = (@sums ||= {})[last] ||= @twos[last].each_value.sum
    end
  end
end
