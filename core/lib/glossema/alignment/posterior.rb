# How sure each bead of a path is: its share of all the ways through the texts that stay near the path, by the
# forward-backward algorithm.
module Glossema
  module Alignment
    class Posterior
      # So many segments off the path are looked at.
      NEAR = 3
      # Ways so much less likely than others to the same place are left out.
      LEAST = 14.0
      # Words and lengths of a bead bear each other out; what they say together is less than their sum.
      TEMPERATURE = 0.4
      # A share becomes the probability of being right by a logistic curve, fitted on noisy bilingual texts
      # in nineteen languages, unrelated ones among them (bench/align): constant and weight of its log-odds,
      # and what is taken off where more than two segments stand together.
      OPPOSITE = [3.08, 1.86].freeze
      SEVERAL = -0.96
      NOTHING_OPPOSITE = [2.5, 0.65].freeze
      NEVER = -1e12

      # steps: the path, [[a, b], …].
      def initialize(steps, costs, shares, sources, targets)
        @steps, @costs, @sources, @targets = steps, costs, sources, targets
        @types = shares.types.map { |a, b, prior| [a, b, prior * TEMPERATURE] }
        @open, @extend = shares.open * TEMPERATURE, shares.extend * TEMPERATURE
        around(steps)
        forward
        backward
      end

      # [probability of each step]
      def probabilities
        i = j = 0
        @steps.map do |a, b|
          i += a
          j += b
          calibrated(log(i, j, a, b) - @all, a, b)
        end
      end

      private

      SMALLEST = 1e-6
      def calibrated(log, a, b)
        share = Math.exp(log.clamp(-700, 0)).clamp(SMALLEST, 1 - SMALLEST)
        constant, weight = a.zero? || b.zero? ? NOTHING_OPPOSITE : OPPOSITE
        odds = constant + (weight * Math.log(share / (1 - share))) + (a + b > 2 ? SEVERAL : 0)
        1 / (1 + Math.exp(-odds))
      end

      def log(i, j, a, b)
        return both(at(@all_before, i - 1, j) + @open, at(@source_before, i - 1, j) + @extend) +
            at(@source_after, i, j) if b.zero?
        return both(at(@all_before, i, j - 1) + @open, at(@target_before, i, j - 1) + @extend) +
            at(@target_after, i, j) if a.zero?

        type = @types.index { |one, other, _| one == a && other == b }
        at(@all_before, i - a, j - b) + edge(i, j, type) + at(@all_after, i, j)
      end

      def around(steps)
        @low, @high = Array.new(@sources + 1, @targets), Array.new(@sources + 1, 0)
        i = j = 0
        [[0, 0], *steps].each do |a, b|
          (i..(i + a)).each do |row|
            @low[row] = [@low[row], j - NEAR].min.clamp(0, @targets)
            @high[row] = [@high[row], j + b + NEAR].max.clamp(0, @targets)
          end
          i += a
          j += b
        end
      end

      def table = Array.new(@sources + 1) { |i| Array.new(@high[i] - @low[i] + 1, NEVER) }

      def at(table, i, j)
        return NEVER if i.negative? || i > @sources

        place = j - @low[i]
        row = table[i]
        place >= 0 && place < row.size ? row[place] : NEVER
      end

      def both(one, other)
        one, other = other, one if other > one
        return one if other <= NEVER || one - other > 30

        one + Math.log(1 + Math.exp(other - one))
      end

      # What a bead of a type that ends at a border is worth.
      def edge(i, j, type) = @scores[i][((j - @low[i]) * @types.size) + type] || NEVER

      def forward
        @all_before, @source_before, @target_before = table, table, table
        @scores = Array.new(@sources + 1) { |i| Array.new((@high[i] - @low[i] + 1) * @types.size) }
        (0..@sources).each do |i|
          (@low[i]..@high[i]).each { |j| before(i, j, j - @low[i]) }
        end
        @all = at(@all_before, @sources, @targets)
      end

      def before(i, j, place)
        return @all_before[0][place] = 0.0 if i.zero? && j.zero?

        run = both(at(@all_before, i - 1, j) + @open, at(@source_before, i - 1, j) + @extend)
        @source_before[i][place] = run
        sum = run
        run = both(at(@all_before, i, j - 1) + @open, at(@target_before, i, j - 1) + @extend)
        @target_before[i][place] = run
        @all_before[i][place] = paired(i, j, place, both(sum, run))
      end

      def paired(i, j, place, sum)
        type, count, scores = -1, @types.size, @scores[i]
        while (type += 1) < count
          a, b, prior = @types[type]
          next if a > i || b > j

          known = at(@all_before, i - a, j - b)
          next if known <= NEVER

          least = (sum - LEAST - known - prior) / TEMPERATURE
          score = prior + (@costs.score(i, j, a, b, least) * TEMPERATURE)
          scores[(place * count) + type] = score
          sum = both(sum, known + score)
        end
        sum
      end

      def backward
        @all_after, @source_after, @target_after = table, table, table
        @sources.downto(0) do |i|
          @high[i].downto(@low[i]) { |j| after(i, j, j - @low[i]) }
        end
      end

      def after(i, j, place)
        sum = i == @sources && j == @targets ? 0.0 : NEVER
        type = -1
        while (type += 1) < @types.size
          a, b, = @types[type]
          known = at(@all_after, i + a, j + b)
          sum = both(sum, known + edge(i + a, j + b, type)) if known > NEVER
        end
        sum = both(sum, at(@source_after, i + 1, j) + @open)
        sum = both(sum, at(@target_after, i, j + 1) + @open)
        @all_after[i][place] = sum
        @source_after[i][place] = both(sum, at(@source_after, i + 1, j) + @extend)
        @target_after[i][place] = both(sum, at(@target_after, i, j + 1) + @extend)
      end
    end
  end
end
