# The best way through two texts inside a band, by dynamic programming; gaps are cheaper the longer they are.
module Glossema
  module Alignment
    class Search
      NEVER = -1e12
      # So many rows lie between two words on how far it is.
      OFTEN = 200
      # A way that is so much worse than the best one up to the same segment is followed by beads of the
      # first type only: it may be so because of all that it has left out.
      BEAM = 30.0
      # Where a step came from, beside the places in the types.
      SKIPS_SOURCE, SKIPS_TARGET = 20, 21

      # shares: {type => how often}, see Shares.
      def initialize(band, costs, sources, targets, shares = Shares.new)
        @low, @high, @costs = band.low, band.high, costs
        @types, @open, @extend = shares.types, shares.open, shares.extend
        @sources, @targets = sources, targets
      end

      # [[a, b], …]: how many segments of each side the beads take, in order. Yields now and then what share
      # is done.
      def path(&done)
        fill(&done)
        back
      end

      private

      # paired: best where a bead of both sides ends; skipping: best in a run of segments of one side.
      def fill
        @best, @came, @source_run, @target_run, @followed = [], [], [], [], []
        (0..@sources).each do |i|
          row(i)
          yield i.fdiv(@sources) if block_given? && (i % OFTEN).zero?
        end
      end

      def row(i)
        first, last = @low[i], @high[i]
        size = last - first + 1
        best, came = Array.new(size, NEVER), Array.new(size)
        source_run, target_run = Array.new(size, NEVER), Array.new(size, NEVER)
        @best << best
        @came << came
        @source_run << source_run
        @target_run << target_run
        above = i.zero? ? nil : @best[i - 1]
        shift = i.zero? ? 0 : first - @low[i - 1]
        (0...size).each do |at|
          paired(i, first + at, at, best, came)
          if above && at + shift < above.size
            source_run[at] = larger(above[at + shift] + @open, @source_run[i - 1][at + shift] + @extend)
            take(best, came, at, source_run[at], SKIPS_SOURCE)
          end
          next if at.zero?

          target_run[at] = larger(best[at - 1] + @open, target_run[at - 1] + @extend)
          take(best, came, at, target_run[at], SKIPS_TARGET)
        end
        best[0] = 0.0 if i.zero?
        rerun_targets(best, came, target_run) if i.zero?
        @followed << (best.max - BEAM)
      end

      # Of the first row, whose beginning is the beginning of all.
      def rerun_targets(best, came, target_run)
        (1...best.size).each do |at|
          target_run[at] = larger(best[at - 1] + @open, target_run[at - 1] + @extend)
          best[at], came[at] = target_run[at], SKIPS_TARGET
        end
      end

      def larger(one, other) = one > other ? one : other

      def take(best, came, at, value, step)
        return unless value > best[at]

        best[at] = value
        came[at] = step
      end

      def paired(i, j, at, best, came)
        type, count = -1, @types.size
        while (type += 1) < count
          a, b, prior = @types[type]
          next if a > i || b > j

          before = j - b - @low[i - a]
          row = @best[i - a]
          next if before.negative? || before >= row.size

          known = row[before]
          next if type.positive? && known < @followed[i - a]

          known += prior
          take(best, came, at, known + @costs.score(i, j, a, b, best[at] - known), type)
        end
      end

      def back
        i, j, list = @sources, @targets, []
        until i.zero? && j.zero?
          a, b = step(i, j)
          list << [a, b]
          i -= a
          j -= b
        end
        list.reverse
      end

      def step(i, j)
        came = @came[i][j - @low[i]]
        case came
        when SKIPS_SOURCE then [run_of_source(i, j), 0]
        when SKIPS_TARGET then [0, run_of_target(i, j)]
        else @types[came].first(2)
        end
      end

      # How long the run is that ends here.
      def run_of_source(i, j)
        count, value = 1, @source_run[i][j - @low[i]]
        loop do
          above = i - count
          at = j - @low[above]
          return count if (value - (@best[above][at] + @open)).abs < 1e-9

          value = @source_run[above][at]
          count += 1
        end
      end

      def run_of_target(i, j)
        count, at = 1, j - @low[i]
        value = @target_run[i][at]
        loop do
          return count if (value - (@best[i][at - count] + @open)).abs < 1e-9

          value = @target_run[i][at - count]
          count += 1
        end
      end
    end
  end
end
