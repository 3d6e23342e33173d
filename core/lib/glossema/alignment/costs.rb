# What a bead is worth: the log of how much likelier two runs of segments are as each other’s translation than as
# strangers, by length, words, kinds of blocks; and how often beads of its type are found.
module Glossema
  module Alignment
    class Costs
      # {[sources, targets] => log of how often}: after Gale and Church (1993), with runs of three.
      TYPES = { [1, 1] => 0.86, [2, 1] => 0.04, [1, 2] => 0.04, [2, 2] => 0.004, [3, 1] => 0.006, [1, 3] => 0.006 }
        .freeze
      # A run of segments without anything opposite begins; it goes on.
      GAP = 0.012
      GOES_ON = 0.45
      # Two segments of different paragraphs in one bead.
      ACROSS = -2.5
      # Gale and Church’s variance of characters for each character.
      VARIANCE = 6.8
      # Both directions tell of the same words.
      DAMP = 0.5

      # Shares of the weight of words that are explained in true pairs and in strangers.
      Rates = Struct.new(:true_pairs, :strangers, keyword_init: true) do
        def explained = Math.log(true_pairs / strangers).clamp(0.2, 4.0)
        def unexplained = Math.log((1 - true_pairs) / (1 - strangers)).clamp(-4.0, -0.05)
      end
      AT_FIRST = Rates.new(true_pairs: 0.22, strangers: 0.02)

      # ratio: characters of the target for one of the source.
      def initialize(source, target, evidence, rates: AT_FIRST, blocks: nil, scatter: 1.0)
        @source, @target = source, target
        @evidence, @exact = evidence, {}
        @gain, @loss = rates.explained * DAMP, rates.unexplained * DAMP
        @blocks = blocks
        @lengths = Lengths.new(source.lengths, target.lengths, scatter)
      end

      attr_reader :lengths

      # Of segments i-a … i-1 and j-b … j-1, where it is more than least; else anything below that.
      def score(i, j, a, b, least = -Float::INFINITY)
        rest = @lengths.score(sum(@source.lengths, i, a), sum(@target.lengths, j, b), b) + structure(i, j, a, b)
        all = sum(@source.totals, i, a) + sum(@target.totals, j, b)
        return rest + words(@evidence.at(i - 1, j - 1), all) if a == 1 && b == 1

        ones, others = i - a...i, j - b...j
        most = rest + words(@evidence.at_most(ones, others), all)
        most > least ? rest + words(exact(ones, others), all) : most
      end

      private

      def words(found, all)
        found = all if found > all
        (found * @gain) + ((all - found) * @loss)
      end

      def exact(ones, others)
        @exact[[ones.begin, others.begin, ones.size, others.size]] ||= @evidence.between(ones, others)
      end

      def sum(list, at, count)
        return list[at - 1] if count == 1

        total = list[at - 1] + list[at - 2]
        count == 2 ? total : total + list[at - 3]
      end

      def structure(i, j, a, b)
        score = 0.0
        score += ACROSS if a > 1 && @source.units[i - 1] != @source.units[i - a]
        score += ACROSS if b > 1 && @target.units[j - 1] != @target.units[j - b]
        return score unless @blocks

        score + (@source.kinds[i - a] == @target.kinds[j - b] ? @blocks.first : @blocks.last)
      end

      # How well two lengths fit, against a length by chance.
      class Lengths
        ROOT = Math.log(Math.sqrt(2 * Math::PI))
        # Short segments are never as regular as the model says.
        LEAST = 6.0

        attr_reader :ratio

        # scatter: how much more or less lengths differ than the model says.
        def initialize(sources, targets, scatter)
          @scatter = scatter
          all = [sources.sum, targets.sum]
          @ratio = all.min.zero? ? 1.0 : (all.last / all.first.to_f).clamp(0.2, 5.0)
          logs = targets.map { |length| Math.log(length) }
          @mean = logs.empty? ? 3.0 : logs.sum / logs.size
          spread = logs.empty? ? 1.0 : Math.sqrt(logs.sum { |log| (log - @mean)**2 } / logs.size)
          @spread = spread.clamp(0.5, 1.5)
        end

        def score(one, other, count)
          expected = one * @ratio
          variance = variance(expected, other)
          far = other - expected
          fits = (-far * far / (2 * variance)) - (Math.log(variance) / 2)
          log = Math.log(other)
          off = (log - @mean - (count == 1 ? 0 : Math.log(count))) / @spread
          chance = (-off * off / 2) - Math.log(@spread) - log
          (fits - chance).clamp(-12.0, 4.0)
        end

        def variance(expected, other)
          ((VARIANCE * (expected + other) / 2) + ((expected * 0.12)**2)) * @scatter + LEAST
        end

        # How many times the variance of the model the lengths of pairs differ by, told by their median.
        def scatter_of(pairs)
          squares = pairs.map { |one, other|
            expected = one * @ratio
            ((other - expected)**2) / variance(expected, other)
          }.sort
          (squares[squares.size / 2] / MEDIAN).clamp(0.25, 1.5)
        end
        # Of the square of what is normally scattered.
        MEDIAN = 0.455
      end
    end
  end
end
