# What a bead is worth: the log of how much likelier two runs of segments are as each other’s translation
# than as strangers, by length, words, kinds of blocks; and how often beads of its type are found.
module Glossema
  module Alignment
    class Costs
      # {[sources, targets] => how often}: after Gale and Church (1993), with runs of three.
      TYPES = { [1, 1] => 0.86, [2, 1] => 0.045, [1, 2] => 0.045, [2, 2] => 0.004, [3, 1] => 0.006,
                [1, 3] => 0.006 }.freeze
      # A run of segments without anything opposite begins; it goes on.
      GAP = 0.006
      GOES_ON = 0.4
      # Two segments of different paragraphs in one bead.
      ACROSS = -1.2
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

      # rates, blocks, scatter, ratio: what a first pass found, see Aligner.
      def initialize(source, target, evidence, rates: AT_FIRST, blocks: nil, scatter: 1.0, ratio: nil)
        @source, @target, @evidence, @blocks = source, target, evidence, blocks
        @gain, @loss = rates.explained * DAMP, rates.unexplained * DAMP
        @lengths = Lengths.new(source.lengths, target.lengths, scatter, ratio)
        @source_weight, @target_weight = [source, target].map { |side| up_to(side.totals) }
        @source_length, @target_length = [source, target].map { |side| up_to(side.lengths) }
      end

      attr_reader :lengths

      # Of segments i-a … i-1 and j-b … j-1, where it is more than least; else something below that.
      def score(i, j, a, b, least = -Float::INFINITY)
        one = a == 1 && b == 1
        all = @source_weight[i] - @source_weight[i - a] + @target_weight[j] - @target_weight[j - b]
        found = one ? @evidence.single(i - 1, j - 1) : @evidence.at_most(i - a, j - b, a, b)
        most = words(found, all)
        return least - 1 if most + MOST <= least

        rest = @lengths.score(@source_length[i] - @source_length[i - a],
          @target_length[j] - @target_length[j - b], b) + structure(i, j, a, b)
        return most + rest if one || most + rest <= least

        rest + words(@evidence.together(i - a, j - b, a, b), all)
      end

      private

      # Lengths and blocks together give no more.
      MOST = 6.0

      def words(found, all)
        found = all if found > all
        (found * @gain) + ((all - found) * @loss)
      end

      # [sum of the first 0, 1, 2 …]
      def up_to(list)
        sum = 0
        [0, *list.map { |one| sum += one }]
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
        # Short segments are never as regular as the model says.
        LEAST = 6.0

        # scatter: how much more or less lengths differ than the model says.
        # ratio: characters of the target for one of the source, nil where no pairs are known yet.
        def initialize(sources, targets, scatter, ratio)
          @scatter, @chances = scatter, []
          @ratio = (ratio || guessed(sources, targets)).clamp(0.2, 5.0)
          logs = targets.map { |length| Math.log(length) }
          @mean = logs.empty? ? 3.0 : logs.sum / logs.size
          spread = logs.empty? ? 1.0 : Math.sqrt(logs.sum { |log| (log - @mean)**2 } / logs.size)
          @spread = spread.clamp(0.5, 1.5)
        end

        # Of all of the text; where much of one side is missing, of what stands there.
        def guessed(sources, targets)
          return 1.0 if sources.empty? || targets.empty?

          many = sources.size.fdiv(targets.size)
          all = targets.sum.fdiv(sources.sum)
          many.between?(0.6, 1.7) ? all : all * many
        end

        def score(one, other, count)
          expected = one * @ratio
          variance = variance(expected, other)
          far = other - expected
          fits = (-far * far / (2 * variance)) - (Math.log(variance) / 2)
          score = fits - chance(other, count)
          return -12.0 if score < -12.0

          score > 4.0 ? 4.0 : score
        end

        # The log of how likely so long a run of so many segments is.
        def chance(length, count)
          (@chances[count] ||= [])[length] ||= begin
            log = Math.log(length)
            off = (log - @mean - Math.log(count)) / @spread
            (-off * off / 2) - Math.log(@spread) - log
          end
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
