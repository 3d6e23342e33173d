# Of a text many times as long as the other one only those segments are aligned that could stand opposite to
# anything; the rest is one-sided without having been looked at beside each segment of the other.
module Glossema
  module Alignment
    class Thinned
      # So many segments for each of the other side are kept, and those beside them.
      KEPT = 6
      BESIDE = 1
      # A text so many times as long as the other one is thinned; what is kept is never thinned again.
      TIMES = KEPT * ((2 * BESIDE) + 1)

      # source, target: Side; lexicon: Lexicon.
      def initialize(source, target, lexicon)
        @sides = [source, target]
        @long = source.size > target.size ? 0 : 1
        @lexicon = @long.zero? ? lexicon.reversed : lexicon
      end

      def needed? = long.size > short.size * TIMES

      # [indexes of the source, of the target] that are to be aligned.
      def kept
        @kept ||= @sides.each_index.map { |at| at == @long ? likely : (0...short.size).to_a }
      end

      # [Bead …] of what was kept → [[[sources, targets] taken, probability], …] of all of it, in order.
      def spread(beads)
        done = 0
        found = beads.flat_map do |bead|
          own = bead[SIDES[@long]].map { |index| kept[@long][index] }
          other = bead[SIDES[1 - @long]].size
          next [[step(0, other), bead.probability]] if own.empty?

          # Segments that do not follow each other are no bead: the first ones stay in it.
          together = own.slice_when { |one, later| later > one + 1 }.first.size
          before, done = own.first - done, own.last + 1
          alone(before) + [[step(together, other), bead.probability]] + alone(done - own.first - together)
        end
        found + alone(long.size - done)
      end

      private

      SIDES = %i[source target].freeze

      def long = @sides[@long]
      def short = @sides[1 - @long]
      def step(own, other) = @long.zero? ? [own, other] : [other, own]

      # As likely as that any segment of the longer text has nothing opposite.
      def alone(count) = [[step(1, 0), 1 - short.size.fdiv(long.size)]] * count

      def likely
        best = explained.sort_by { |index, found| [-found, index] }.first(short.size * KEPT)
        best.flat_map { |index, _| ((index - BESIDE)..(index + BESIDE)).to_a }
          .select { |index| index.between?(0, long.size - 1) }.uniq.sort
      end

      # {index => weight of what the other text explains of the segment}; words that stand everywhere do not
      # count.
      def explained
        strengths.each_with_object(Hash.new(0.0)) do |(token, strength), found|
          places = long.places.fetch(token)
          next if places.size * TIMES > long.size

          places.each { |index| found[index] += strength * long.weight(token) }
        end
      end

      # {token of the longer text => how strongly the other one explains it}
      def strengths
        short.frequencies.each_key.with_object({}) do |token, all|
          @lexicon.strengths(token).each do |paired, strength|
            all[paired] = strength if strength > all.fetch(paired, 0)
          end
        end
      end
    end
  end
end
