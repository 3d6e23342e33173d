# Which words translate which: IBM model 1 (Brown et al., 1993), learned from pairs of texts by expectation
# maximisation.
module Glossema
  module Completion
    class Lexicon
      ROUNDS = 3
      # Longer texts say little about their words and cost much.
      LONGEST = 80
      # What is less likely is forgotten after each round, and so is what a pair of words gets of less than
      # this.
      LEAST = 0.0005
      SHARE = 0.01
      # So many translations of a word are looked at, and they must be as likely as this.
      TRANSLATIONS = 25
      LIKELY = 0.01
      SHIFT = 20

      # pairs: [[ids of the source], [ids of the target]] …
      def initialize(table = {}, totals = {})
        @table, @totals = table, totals
      end

      def self.learn(pairs, rounds: ROUNDS)
        lexicon = new
        rounds.times { lexicon = lexicon.round(pairs) }
        lexicon
      end

      # How likely a source word is translated by a target word (ids).
      def likelihood(source, target) = @table[(source << SHIFT) | target] || 0.0

      # [ids of the likeliest translations] of a source word.
      def translations(source) = (@translations ||= collect)[source] || []

      # One round more: a lexicon from what this one makes of the pairs.
      def round(pairs)
        counts, totals = {}, Hash.new(0.0)
        pairs.each do |source, target|
          words = source.uniq
          next if words.size > LONGEST || target.size > LONGEST

          target.each { |word| share(words, word, counts, totals) }
        end
        table = {}
        counts.each do |key, count|
          likelihood = count / totals[key >> SHIFT]
          table[key] = likelihood if likelihood > LEAST
        end
        Lexicon.new(table, totals)
      end

      # Takes in one pair more, without a round through all others.
      def add(source, target)
        words = source.uniq
        return if words.size > LONGEST || target.size > LONGEST

        counts, totals = {}, Hash.new(0.0)
        target.each { |word| share(words, word, counts, totals, fresh: true) }
        counts.each do |key, count|
          word = key >> SHIFT
          before = @totals[word] || 0.0
          @table[key] = (((@table[key] || 0.0) * before) + count) / (before + totals[word])
        end
        totals.each { |word, total| @totals[word] = (@totals[word] || 0.0) + total }
        @translations = nil
      end

      def marshal_dump = [@table, @totals]
      def marshal_load(state) = (@table, @totals = state)

      private

      # Shares a target word out among the source words, by how likely each is to have made it.
      def share(words, target, counts, totals, fresh: false)
        first = @table.empty?
        likely = words.map { |word|
          if first
            1.0
          else
            @table[(word << SHIFT) | target] || (fresh ? LEAST : 0.0)
          end
        }
        sum = likely.sum
        return if sum < 1e-12

        words.each_with_index do |word, index|
          share = likely[index] / sum
          next if share < SHARE && !first

          key = (word << SHIFT) | target
          counts[key] = (counts[key] || 0.0) + share
          totals[word] += share
        end
      end

      def collect
        lists = {}
        @table.each do |key, likelihood|
          (lists[key >> SHIFT] ||= []) << [likelihood, key & ((1 << SHIFT) - 1)] if likelihood > LIKELY
        end
        lists.transform_values { |list| list.max(TRANSLATIONS).map(&:last) }
      end
    end
  end
end
