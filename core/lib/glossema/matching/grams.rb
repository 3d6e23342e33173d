# What a memory's index is made of: a text as keys of its words, single and in pairs, and which of them a lookup has to read.
#
# A match at score s differs from a text of weight w in at most k = ⌊w × (1 − s)⌋ words where it is no longer than the text, else in
# ⌊w × (1 − s) / s⌋. Cut into k + 1 pieces, one piece at least stands in it untouched (pigeonhole), so only units that share a
# piece need be looked at. Pieces are words and pairs of neighbours, chosen so that few units share them. Inflected words have
# the same key, being alike in front.
require "zlib"

module Glossema
  module Matching
    module Grams
      # Longer texts are told apart by their beginning.
      WORDS = 160
      WORD = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}]|[[[:alnum:]]\p{M}&&[^\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}]]+/
      # Texts of so few words are also found by how their words end.
      SHORT = 2
      # Words of so many letters may differ in any one of them.
      LETTERS = 6
      # How many times the budget the pieces may cost.
      OVER = 2
      # Grams of so few units are always read.
      FEW = 200
      # How many words' keys are kept in mind.
      REMEMBERED = 100_000
      # A text's class is by its number of words; classes get wider as texts get longer.
      CLASSES = [0, 1, 2, 3, 4, 5, 6, 7, 9, 11, 14, 17, 21, 26, 33, 42, 54, 70, 90, 120, WORDS].freeze

      module_function

      # text → array of word keys: the first letters without case and accents; "0" for any number.
      def words(text)
        folded = text.downcase
        found = if folded.ascii_only? then folded.tr("^a-z0-9", " ").split
                else folded.unicode_normalize(:nfkd).gsub(/[\u0300-\u036f]/, "").unicode_normalize(:nfc).scan(WORD)
                end
        found = found.first(WORDS) if found.size > WORDS
        found
      end

      # A word as the index keeps it.
      def key(word)
        return "0" if word.match?(/\A\d/)

        word.length > 4 ? word[0, 4] : (word.length == 4 ? word.delete_suffix("s") : word)
      end

      # words (of `words`) → array of Integer < 2³²: the keys of the single words, as kept with a unit to compare it by.
      def singles(words)
        known = Thread.current[:glossema_grams] ||= {}
        known.clear if known.size > REMEMBERED
        words.map { |word| known[word] ||= Zlib.crc32(key(word)) }
      end

      # singles and words → array of Integer: all grams a unit is found by.
      def all(words, singles = Grams.singles(words))
        grams = singles + pairs(singles)
        grams.concat(endings(words)) if words.size <= SHORT
        grams.concat(numbers(words)).uniq
      end

      # Numbers by themselves: any number fits a piece, the same number tells more.
      def numbers(words) = words.filter_map { |word| Zlib.crc32("##{word}") if word.match?(/\A\d/) }

      # The grams of neighbouring words.
      def pairs(singles)
        last, list = nil, []
        singles.each do |single|
          list << (((last * 31) + (single * 1_000_003)) & 0xFFFFFFFF) if last
          last = single
        end
        list
      end

      def pair(one, other) = ((one * 31) + (other * 1_000_003)) & 0xFFFFFFFF

      # Texts of one or two words are also found by how their words begin and end, a single short one by itself less a letter.
      def endings(words)
        grams = words.flat_map { |word| word.match?(/\A\d/) ? [] : [Zlib.crc32("^#{word[0, 3]}"), Zlib.crc32("~#{word[-3..] || word}")] }
        return grams if words.size > 1 || words.empty? || words.first.length > LETTERS

        word = words.first
        grams << Zlib.crc32("-#{word}")
        word.length.times { |at| grams << Zlib.crc32("-#{word[0, at]}#{word[at + 1..]}") }
        grams
      end

      # The class of a text of so many words.
      def class_of(count) = CLASSES.bsearch_index { |border| border > count }&.pred || (CLASSES.size - 1)

      # The classes that can hold matches for a text of so many words and weight at a score: [[first, last, pieces], …], those of texts
      # no longer than this one and those of longer ones; pieces: into how many it is cut for them, so that one is whole. The
      # score counts words joined by hyphens or in addresses as one and marks besides, so there is some room at both ends.
      def classes(count, weight, score)
        share, own = score / 100.0, class_of(count)
        [[class_of([(count * share).floor - 1, 1].max), own, (weight * (1 - share)).floor + 1],
         [own + 1, class_of((count / share).ceil + 1), (weight * (1 - share) / share).floor + 1]]
      end

      # Which grams to read. words: of the text looked up; pieces: how many are needed; sizes: {gram => how many units have it};
      # budget: how many units may be read. Returns an array of grams, none of them of size 0.
      def plan(words, pieces, sizes, budget)
        singles = singles(words)
        chosen = if words.size <= SHORT then singles + endings(words)
                 elsif words.size == SHORT + 1 then singles.uniq.min_by(pieces + 1) { |gram| sizes.fetch(gram, 0) }
                 else words.size > 40 ? [] : cut(singles, sizes, pieces)
                 end
        chosen = cheapest(chosen.uniq, sizes, OVER * budget)
        left = budget - chosen.uniq.sum { |gram| sizes.fetch(gram, 0) }
        # What the budget leaves goes to the rarest of the rest: more chances, and a better order of what is found.
        (pairs(singles) + singles + numbers(words) - chosen).uniq.sort_by { |gram| sizes.fetch(gram, 0) }.each do |gram|
          left -= sizes.fetch(gram, 0)
          break if left.negative? && sizes.fetch(gram, 0) > FEW

          chosen |= [gram]
        end
        chosen.uniq.select { |gram| sizes.fetch(gram, 0).positive? }
      end

      # Where a text is all of common words, the commonest of its pieces are left out: what shares them shares others too.
      def cheapest(grams, sizes, limit)
        spent = 0
        grams.sort_by { |gram| sizes.fetch(gram, 0) }.take_while.with_index { |gram, index| (spent += sizes.fetch(gram, 0)) <= limit || index < 2 }
      end
      private_class_method :cheapest

      # The cheapest way to take `count` pieces (words or pairs of neighbours) that do not overlap.
      def cut(singles, sizes, count)
        count = [count, singles.size].min
        best = [[0, nil]] + Array.new(count)
        rows = [best]
        singles.each_index do |i|
          above, two = rows[i], i.positive? ? rows[i - 1] : nil
          one = sizes.fetch(singles[i], 0)
          pair = two && (gram = pair(singles[i - 1], singles[i])) && sizes.fetch(gram, 0)
          rows << Array.new(count + 1) do |j|
            options = [above[j]]
            if j.positive?
              options << [above[j - 1][0] + one, [singles[i], above[j - 1][1]]] if above[j - 1]
              options << [two[j - 1][0] + pair, [gram, two[j - 1][1]]] if two && two[j - 1]
            end
            options.compact.min_by(&:first)
          end
        end
        chain, grams = rows.last[count]&.last, []
        while chain
          grams << chain[0]
          chain = chain[1]
        end
        grams
      end
      private_class_method :cut

      # How alike two lists of singles are, 0 to 1: the share of words in common. Only a guess, to look at the likeliest first.
      # Both hold each word once.
      def likeness(one, other)
        longer = one.size > other.size ? one.size : other.size
        longer.zero? ? 1.0 : (one & other).size / longer.to_f
      end
    end
  end
end
