# Two texts that are each other’s translation, cut into beads: a first pass by lengths, numbers and words
# alike, a second with what the first has taught of the words.
module Glossema
  module Alignment
    class Aligner
      # The first one teaches the second.
      PASSES = 2

      # sources, targets: [Piece …]; given: [[source text, target text], …] of termbases and memories;
      # known: the same of texts that surely stand opposite, to learn words from.
      def initialize(sources, targets, given: [], known: [])
        @pieces, @taught = [sources, targets], { given: given, known: known }
        @source, @target = Side.new(sources), Side.new(targets)
        @lexicon = Lexicon.new(@source.frequencies, @target.frequencies, given: given)
        @lexicon.learn(known.map { |pair| pair.map { |text| Tokens.tokenize(text) } })
      end

      # [Bead …] in order: each segment stands in exactly one. Yields now and then what share is done.
      def beads(&done)
        return one_sided if @source.size.zero? || @target.size.zero?

        thinned = Thinned.new(@source, @target, @lexicon)
        thinned.needed? ? of_thinned(thinned) : of_all(&done)
      end

      private

      def of_thinned(thinned)
        kept = @pieces.zip(thinned.kept).map { |pieces, indexes| pieces.values_at(*indexes) }
        beads_of(*thinned.spread(Aligner.new(*kept, **@taught).beads).transpose)
      end

      def of_all(&done)
        known, steps = {}, []
        PASSES.times do |pass|
          costs, shares = Costs.new(@source, @target, evidence, **known), Shares.new(steps)
          search = Search.new(@band, costs, @source.size, @target.size, shares)
          steps = single(search.path { |share| done&.call((pass + share) / PASSES) })
          return beads_of(steps, sure(steps, costs, shares)) if pass == PASSES - 1

          teach(steps)
          known = { rates: rates_of(steps), blocks: blocks_of(steps), **lengths_of(steps, costs) }
        end
      end

      def evidence
        @band = Band.new(@source, @target, @lexicon)
        @evidence = Evidence.new(@source, @target, @lexicon, @band)
      end

      def sure(steps, costs, shares)
        Posterior.new(steps, costs, shares, @source.size, @target.size).probabilities
      end

      def one_sided
        steps = ([[1, 0]] * @source.size) + ([[0, 1]] * @target.size)
        beads_of(steps, steps.map { 1.0 })
      end

      # Runs of segments without anything opposite, one by one.
      def single(steps)
        steps.flat_map do |a, b|
          next [[1, 0]] * a if b.zero?

          a.zero? ? [[0, 1]] * b : [[a, b]]
        end
      end

      def each_pair(steps)
        i = j = 0
        steps.each do |a, b|
          yield i...(i + a), j...(j + b) if a.positive? && b.positive?
          i += a
          j += b
        end
      end

      def teach(steps)
        rows = []
        each_pair(steps) { |ones, others| rows << [words(@source, ones), words(@target, others)] }
        @lexicon.learn(rows)
      end

      def words(side, range) = side.tokens[range].flatten.uniq

      # What share of the words is explained in the pairs found, and in strangers.
      def rates_of(steps)
        pairs = []
        each_pair(steps) { |ones, others| pairs << [ones, others] }
        return Costs::AT_FIRST if pairs.size < 8

        apart = pairs.each_index.map { |index| [pairs[index].first, pairs[(index + 5) % pairs.size].last] }
        Costs::Rates.new(true_pairs: share(pairs).clamp(0.1, 0.9), strangers: share(apart).clamp(0.005, 0.3))
      end

      def share(pairs)
        found = pairs.sum { |ones, others|
          @evidence.together(ones.begin, others.begin, ones.size, others.size)
        }
        all = pairs.sum { |ones, others| @source.totals[ones].sum + @target.totals[others].sum }
        all.zero? ? Costs::AT_FIRST.true_pairs : found / all
      end

      # How much lengths are scattered, and how long a text is for one of the other side.
      def lengths_of(steps, costs)
        lengths = []
        each_pair(steps) do |ones, others|
          lengths << [@source.lengths[ones.begin],
                      @target.lengths[others.begin]] if ones.size + others.size == 2
        end
        return {} if lengths.size < 8

        { scatter: costs.lengths.scatter_of(lengths),
          ratio: lengths.sum(&:last).fdiv(lengths.sum(&:first)) }
      end

      # [worth of the same kind of block, of another]; nil where a side knows only one kind.
      def blocks_of(steps)
        shares = [@source, @target].map { |side|
          side.kinds.tally.transform_values { |count|
            count.fdiv(side.size)
          }
        }
        return if shares.any? { |share| share.size < 2 }

        same = []
        each_pair(steps) { |ones, others| same << (@source.kinds[ones.begin] == @target.kinds[others.begin]) }
        found = (same.count(true) + 1).fdiv(same.size + 2)
        chance = shares[0].sum { |kind, share| share * shares[1].fetch(kind, 0) }.clamp(0.02, 0.98)
        [Math.log(found / chance).clamp(0.0, 2.0), Math.log((1 - found) / (1 - chance)).clamp(-4.0, 0.0)]
      end

      def beads_of(steps, probabilities)
        i = j = 0
        steps.zip(probabilities).map do |(a, b), probability|
          bead = Bead.new(source: i...(i + a), target: j...(j + b), probability: probability.round(3))
          i += a
          j += b
          bead
        end
      end
    end
  end
end
