# Which words of two texts belong to each other, and how surely: numbers and cognates from the start, words of
# termbases and memories where they are given, and what the texts themselves teach in a second pass.
module Glossema
  module Alignment
    class Lexicon
      SAME = 1.0
      COGNATE = 0.75
      # Words seen together fewer times than this are not learned: they would only bear out what was found.
      TIMES = 2
      # How much more often than by chance, by Dunning’s likelihood ratio (1993).
      LEAST_RATIO = 8.0
      LEAST_SHARE = 0.25

      # sources, targets: {token => in how many segments}; given: [[source text, target text], …].
      def initialize(sources, targets, given: [])
        @sources, @targets = sources, targets
        @pairs = Hash.new { |all, token| all[token] = {} }
        from_the_start
        given.each { |source, target| give(source, target) }
      end

      # {target token => strength} of a source token.
      def strengths(token) = @pairs.fetch(token, NONE)
      NONE = {}.freeze

      # The same from the other side: {source token => strength} of a target token.
      def reversed
        @reversed ||= Reversed.new(@pairs)
      end

      class Reversed
        def initialize(pairs)
          @pairs = Hash.new { |all, token| all[token] = {} }
          pairs.each { |token, row| row.each { |other, strength| @pairs[other][token] = strength } }
        end

        def strengths(token) = @pairs.fetch(token, NONE)
      end

      # Learns of segments that stand opposite: [[source tokens, target tokens], …].
      def learn(rows)
        @reversed = nil
        together, sources, targets = counts(rows)
        together.each do |source, row|
          next unless @sources.key?(source)

          row.each do |target, times|
            next if times < TIMES || !@targets.key?(target)

            strength = strength(times, sources[source], targets[target], rows.size)
            put(source, target, strength) if strength
          end
        end
      end

      private

      def put(source, target, strength)
        known = @pairs[source][target]
        @pairs[source][target] = strength if known.nil? || known < strength
      end

      # Equal tokens, and those that begin alike in Latin letters.
      def from_the_start
        alike = @targets.keys.group_by { |token| Tokens.cognate(token) }
        @sources.each_key do |token|
          put(token, token, SAME) if @targets.key?(token)
          key = Tokens.cognate(token) or next
          alike.fetch(key, []).each { |target| put(token, target, COGNATE) }
        end
      end

      def give(source, target)
        ones, others = [source, target].map { |text| Tokens.tokenize(text) }
        strength = ones.size == 1 && others.size == 1 ? SAME : SAME / [ones.size, others.size].max
        ones.product(others) { |one, other|
          put(one, other, strength) if @sources.key?(one) && @targets.key?(other)
        }
      end

      def counts(rows)
        together = Hash.new { |all, token| all[token] = Hash.new(0) }
        sources, targets = Hash.new(0), Hash.new(0)
        rows.each do |ones, others|
          ones.each { |one| sources[one] += 1 }
          others.each { |other| targets[other] += 1 }
          ones.each do |one|
            row = together[one]
            others.each { |other| row[other] += 1 }
          end
        end
        [together, sources, targets]
      end

      # The share of the rarer word’s places in which both stand, corrected for few places; nil where chance
      # would do.
      def strength(times, ones, others, all)
        share = times.fdiv([ones, others].max)
        return if share < LEAST_SHARE
        return if ratio(times, ones, others, all) < LEAST_RATIO

        (times - 0.5).fdiv([ones, others].max + 0.5).clamp(0, 0.95)
      end

      # Twice the log of the likelihood ratio of “together” against “apart”.
      def ratio(times, ones, others, all)
        return 0 if times * all <= ones * others

        table = [times, ones - times, others - times, all - ones - others + times]
        sums = [ones, others, all - ones, all - others]
        2 * (table.sum { |count| entropy(count) } - sums.sum { |count| entropy(count) } + entropy(all))
      end

      def entropy(count) = count.positive? ? count * Math.log(count) : 0
    end
  end
end
