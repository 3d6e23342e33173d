# Which token follows which in the translations of the units most like a source, the likest counting most.
module Glossema
  module Completion
    class Likeness
      # Units less like it than this do not count.
      LEAST = 0.1
      # What is kept for the shorter context, by its length.
      HELD = [1.0, 0.6, 0.4].freeze
      SHIFT = 20

      def initialize(units)
        @ones, @twos, @threes = Hash.new(0.0), Hash.new(0.0), Hash.new(0.0)
        @after_one, @after_two, @total = Hash.new(0.0), Hash.new(0.0), 0.0
        units.each { |likeness, ids| take(ids, 4 * (likeness**2)) if likeness >= LEAST }
      end

      def ids = @ones.keys

      # A function from id to how likely it follows the two ids before.
      def after(before, last)
        context = (before << SHIFT) | last
        twos, threes = @after_one.fetch(last, 0.0), @after_two.fetch(context, 0.0)
        lambda do |id|
          one = @ones.fetch(id, 0.0) / (@total + HELD[0])
          two = held(@twos.fetch((last << SHIFT) | id, 0.0), twos, HELD[1], one)
          held(@threes.fetch((context << SHIFT) | id, 0.0), threes, HELD[2], two)
        end
      end

      private

      def held(weight, sum, held, shorter) = sum.zero? ? shorter : (weight + (held * shorter)) / (sum + held)

      def take(ids, weight)
        before = last = CompletionContext::START
        [*ids, CompletionContext::STOP].each do |id|
          context = (before << SHIFT) | last
          @ones[id] += weight
          @twos[(last << SHIFT) | id] += weight
          @threes[(context << SHIFT) | id] += weight
          @after_one[last] += weight
          @after_two[context] += weight
          @total += weight
          before, last = last, id
        end
      end
    end
  end
end
