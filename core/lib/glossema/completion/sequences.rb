# Which token follows which: counts of one, two and three in a row, smoothed by absolute discounting and
# backing off to the shorter one (Ney, Essen, Kneser, 1994).
module Glossema
  module Completion
    class Sequences
      DISCOUNT = 0.75
      SHIFT = 20
      # So many followers of a context are looked at.
      FOLLOWERS = 40

      # start, stop: the ids that stand for the beginning and the end of a text.
      def initialize(start, stop)
        @start, @stop = start, stop
        @ones, @twos, @threes = Hash.new(0), Hash.new(0), Hash.new(0)
        @total = 0
        forget
      end

      # Takes in the ids of a text.
      def add(ids, weight = 1)
        before = last = @start
        [*ids, @stop].each do |id|
          @ones[id] += weight
          @twos[(last << SHIFT) | id] += weight
          @threes[(((before << SHIFT) | last) << SHIFT) | id] += weight
          @total += weight
          before, last = last, id
        end
        forget
      end

      # Works out ahead what the first question would wait for.
      def prepare
        after(@start, @start)
        followers(@start, @start)
      end

      # The most frequent ids.
      def frequent(count) = @ones.max_by(count) { |_, times| times }.map(&:first)

      # A function from id to how likely it follows the two ids before.
      def after(before, last)
        context = (before << SHIFT) | last
        twos, kinds = sums(:@twos)[last]
        threes, forms = sums(:@threes)[context]
        lambda do |id|
          one = (@ones.fetch(id, 0) + 0.1) / (@total + 1)
          two = twos ? backed(@twos.fetch((last << SHIFT) | id, 0), twos, kinds, one) : one
          threes ? backed(@threes.fetch((context << SHIFT) | id, 0), threes, forms, two) : two
        end
      end

      # The ids that followed the two most often.
      def followers(before, last)
        lists = (@followers ||= [collect(@threes), collect(@twos)])
        (lists[0].fetch((before << SHIFT) | last, []) + lists[1].fetch(last, [])).uniq
      end

      def marshal_dump = [@start, @stop, @ones.to_a, @twos.to_a, @threes.to_a, @total]

      def marshal_load(state)
        @start, @stop, *tables, @total = state
        @ones, @twos, @threes = tables.map { |pairs| Hash.new(0).merge!(pairs.to_h) }
      end

      private

      def backed(count, sum, kinds, shorter)
        ([count - DISCOUNT, 0].max + (DISCOUNT * kinds * shorter)) / sum
      end

      def forget = @sums = @followers = nil

      # {context => [how often, how many different followers]}
      def sums(name)
        (@sums ||= {})[name] ||=
          instance_variable_get(name).each_with_object({}) do |(key, count), found|
            entry = found[key >> SHIFT] ||= [0, 0]
            entry[0] += count
            entry[1] += 1
          end
      end

      def collect(table)
        lists = {}
        table.each { |key, count| (lists[key >> SHIFT] ||= []) << [count, key & ((1 << SHIFT) - 1)] }
        lists.transform_values { |list| list.max(FOLLOWERS).map(&:last) - [@stop] }
      end
    end
  end
end
