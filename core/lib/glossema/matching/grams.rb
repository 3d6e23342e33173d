# What a memory's index is made of: a text as keys of its words, single and in pairs, and which of them a
# lookup has to read.
#
# A match at score s differs from a text of weight w in at most k = ⌊w × (1 − s)⌋ words where it has no more
# of them, else in ⌊w × (1 − s) / s⌋. Cut into k + 1 pieces, one piece at least stands in it untouched
# (pigeonhole), so only units that share a piece need be looked at. Pieces are words and pairs of neighbours,
# chosen so that few units share them. Inflected words have the same key, being alike in front.
require "zlib"

module Glossema
  module Matching
    module Grams
      # Longer texts are told apart by their beginning.
      WORDS = 160
      MARKS = 250
      # Texts of so few words are also found by how their words end.
      SHORT = 2
      # Words of so many letters may differ in any one of them.
      LETTERS = 6
      # Of texts of more words, pairs alone are asked for: there are enough, and each is rarer than its words.
      LONG = 14
      # How many times the budget the pieces may cost.
      OVER = 2
      # Grams of so few units are always read.
      ALWAYS_READ_UP_TO = 200
      # How many words' keys are kept in mind.
      REMEMBERED = 100_000
      # What two words with the same key are taken to cost, before their letters are compared.
      ALIKE = 0.2
      # Parts of a token's code: its key, what it is exactly, and what only marks have.
      KEY = 0xFFFFFFFF
      EXACT = 0xFFFF
      MARK = 1 << 48
      # The key of any number.
      NUMBER = Zlib.crc32("0")
      # A text's class is by its number of words; classes get wider as texts get longer.
      CLASSES = [0, 1, 2, 3, 4, 5, 6, 7, 9, 11, 14, 17, 21, 26, 33, 42, 54, 70, 90, 120, WORDS].freeze

      # What a text is compared by before it is scored; exact, keys and marks are arrays of Integer, each
      # once.
      Signature = Struct.new(:exact, :keys, :marks, :weight)

      # What an index keeps of a text: how many words it has, its signature, its sketch, and its grams,
      # packed.
      Entry = Struct.new(:count, :signature, :sketch, :grams)

      module_function

      # text → Entry.
      def entry(text)
        words, singles, exact, marks, known = [], [], [], [], remembered
        Counting::Tokens
          .texts(Score.nfc(text))
          .each do |token|
            code = known[token] || (known[token] = code(token))
            next marks << (code & EXACT) if code >= MARK
            next if words.size >= WORDS

            words << token
            singles << (code & KEY)
            exact << (code >> 32)
          end
        keys = numbered(singles)
        Entry.new(words.size, packed(exact, keys, marks), bits(keys), all(words, singles).pack("L*"))
      end

      # text → [words, marks], the tokens of the score.
      def tokens(text) = parted(Counting::Tokens.texts(Score.nfc(text)))

      # The same of what a text was cut into (array of Unit).
      def of_units(units) = parted(units.filter_map { |unit| unit.text unless unit.kind == :code })

      def parted(tokens)
        marks, words = tokens.partition { |token| Counting::Tokens.kind(token) == :mark }
        [words.first(WORDS), marks]
      end
      private_class_method :parted

      # {token => 32 bits of its key, 16 of what it is exactly, and whether it is a mark}, as one number.
      def remembered
        known = Thread.current[:glossema_grams] ||= {}
        known.clear if known.size > REMEMBERED
        known
      end
      private_class_method :remembered

      # Numbers and addresses, which can be adapted, are all exactly the same.
      def code(token)
        kind = Counting::Tokens.kind(token)
        return MARK | (Zlib.crc32(token) & EXACT) if kind == :mark

        same =
          if kind == :number
            "0"
          else
            token.match?(Adapted::ADDRESS) ? "@" : token
          end
        ((Zlib.crc32(same) & EXACT) << 32) | Zlib.crc32(key(token))
      end
      private_class_method :code

      # A word as the index keeps it: its first letters without case and accents; "0" for any number.
      def key(word)
        word = fold(word)
        return "0" if word.match?(/\A\d/)

        return word[0, 4] if word.length > 4

        word.length == 4 ? word.delete_suffix("s") : word
      end

      def fold(word)
        folded = word.downcase
        return folded.delete("^a-z0-9") if folded.ascii_only?

        folded.unicode_normalize(:nfkd).gsub(/[^[:alnum:]]/, "").unicode_normalize(:nfc)
      end

      # words → array of Integer < 2³²: the keys of the single words.
      def singles(words) = codes(words).map { |code| code & KEY }

      def codes(tokens)
        known = remembered
        tokens.map { |token| known[token] ||= code(token) }
      end
      private_class_method :codes

      # What is kept of a text to compare it by: 16 bits for each word, for each word's key, and for each
      # mark.
      def signature(words, marks)
        codes = codes(words)
        packed(
          codes.map { |code| code >> 32 },
          numbered(codes.map { |code| code & KEY }),
          codes(marks).map { |code| code & EXACT }
        )
      end

      def packed(exact, keys, marks) =
        [exact.size, *numbered(exact), *keys, *numbered(marks.first(MARKS))].pack("S*")
      private_class_method :packed

      # Which words a text has, in 30 bits: texts that differ in few words differ in few bits. singles: of all
      # words.
      def sketch(singles) = bits(numbered(singles))

      def bits(keys)
        bits = 0
        keys.each { |single| bits ^= 1 << ((single >> 7) % 30) }
        bits
      end
      private_class_method :bits

      # The second of the same is another one than the first.
      def numbered(list)
        return list if list.uniq.size == list.size

        seen = {}
        list.map do |one|
          times = seen[one]
          seen[one] = (times || 0) + 1
          times ? one + (times * 40_503) : one
        end
      end
      private_class_method :numbered

      def parse(packed)
        count, *list = packed.unpack("S*")
        Signature.new(
          list[0, count],
          list[count, count],
          list[2 * count..],
          count + ((list.size - (2 * count)) * WEIGHTS[:mark])
        )
      end

      # About what score two texts would have, 0 to 100: an edit distance that does not look at the order.
      # own: a Signature; packed: that of the other, as kept.
      def likeness(own, packed)
        list = packed.unpack("S*")
        count = list[0]
        marks = list.size - 1 - (2 * count)
        exact = (own.exact & list[1, count]).size
        keys = (own.keys & list[1 + count, count]).size
        same = marks.zero? ? 0 : (own.marks & list[1 + (2 * count), marks]).size
        size, others = own.exact.size, own.marks.size
        more = size > count ? size : count
        distance = more - keys + ((marks > others ? marks : others) - same) * 0.25
        distance += (keys - exact) * ALIKE if keys > exact
        weight = count + (marks * 0.25)
        weight = own.weight if own.weight > weight
        weight.zero? ? 100.0 : 100.0 * (1 - (distance / weight))
      end

      # words and singles → array of Integer: all grams a unit is found by.
      def all(words, singles = Grams.singles(words))
        grams = singles + pairs(singles)
        grams.concat(endings(words)) if words.size <= SHORT
        grams.concat(numbers(words, singles)).uniq
      end

      # The grams a lookup has to know of.
      def asked(words, singles = Grams.singles(words)) =
        words.size > LONG ? (pairs(singles) + numbers(words, singles)).uniq : all(words, singles)

      # Numbers by themselves: any number fits a piece, the same number tells more.
      def numbers(words, singles) =
        if singles.include?(NUMBER)
          words.each_with_index.filter_map do |word, index|
            Zlib.crc32("##{word}") if singles[index] == NUMBER
          end
        else
          []
        end

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

      # Texts of two words are also found by how their words begin and end, a single word by any three letters
      # in a row, and a short one by itself less a letter.
      def endings(words)
        words = words.map { |word| fold(word) }
        unless words.size == 1
          return (
            words.flat_map do |word|
              word.match?(/\A\d/) ? [] : [Zlib.crc32("^#{word[0, 3]}"), Zlib.crc32("~#{word[-3..] || word}")]
            end
          )
        end

        word = words.first
        grams = "^#{word}$".then { |whole| (0..whole.length - 3).map { |at| Zlib.crc32("-#{whole[at, 3]}") } }
        return grams if word.length > LETTERS

        grams << Zlib.crc32("=#{word}")
        word.length.times { |at| grams << Zlib.crc32("=#{word[0, at]}#{word[at + 1..]}") }
        grams
      end

      # The class of a text of so many words.
      def class_of(count) = CLASSES.bsearch_index { |border| border > count }&.pred || (CLASSES.size - 1)

      # The classes that can hold matches for a text of so many words and weight at a score: [[first, last,
      # pieces], …], those of texts with no more words than this one's class and those with more; pieces: into
      # how many it is cut for them, so that one is whole.
      def classes(count, weight, score)
        share, own = score / 100.0, class_of(count)
        lost = weight * (1 - share)
        room = (CLASSES[own + 1] || count + 1) - 1 - count
        [
          [
            class_of([count - (lost + 1e-6).floor, 1].max),
            own,
            (lost + (room * (1 - share)) + 1e-6).floor + 1
          ],
          [own + 1, class_of(count + ((lost / share) + 1e-6).floor), ((lost / share) + 1e-6).floor + 1]
        ]
      end

      # Which grams to read. words: of the text looked up; pieces: how many are needed; sizes: {gram => how
      # many units have it}; budget: how many units may be read. Returns an array of grams, none of them of
      # size 0.
      def plan(words, pieces, sizes, budget)
        singles = singles(words)
        chosen =
          if words.size <= SHORT
            singles + endings(words)
          elsif words.size == SHORT + 1
            singles.uniq.min_by(pieces + 1) { |gram| sizes.fetch(gram, 0) }
          else
            words.size > 40 ? [] : cut(singles, sizes, pieces)
          end
        chosen = cheapest(chosen.uniq, sizes, OVER * budget)
        left = budget - chosen.uniq.sum { |gram| sizes.fetch(gram, 0) }
        # What the budget leaves goes to the rarest of the rest: more chances, and a better order of what is
        # found.
        (pairs(singles) + singles + numbers(words, singles) - chosen)
          .uniq
          .sort_by { |gram| sizes.fetch(gram, 0) }
          .each do |gram|
            left -= sizes.fetch(gram, 0)
            break if left.negative? && sizes.fetch(gram, 0) > ALWAYS_READ_UP_TO

            chosen |= [gram]
          end
        chosen.uniq.select { |gram| sizes.fetch(gram, 0).positive? }
      end

      # Where a text is all of common words, the commonest of its pieces are left out: what shares them shares
      # others too.
      def cheapest(grams, sizes, limit)
        spent = 0
        grams
          .sort_by { |gram| sizes.fetch(gram, 0) }
          .take_while
          .with_index { |gram, index| (spent += sizes.fetch(gram, 0)) <= limit || index < 2 }
      end
      private_class_method :cheapest

      # The cheapest way to take `count` pieces (words or pairs of neighbours) that do not overlap.
      def cut(singles, sizes, count)
        count = [count, singles.size > LONG ? singles.size / 2 : singles.size].min
        best = [[0, nil]] + Array.new(count)
        rows = [best]
        singles.each_index do |i|
          above, two = rows[i], i.positive? ? rows[i - 1] : nil
          one = sizes.fetch(singles[i], 0)
          pair = two && (gram = pair(singles[i - 1], singles[i])) && sizes.fetch(gram, 0)
          rows << Array.new(count + 1) do |j|
            options = [above[j]]
            if j.positive?
              if above[j - 1] && singles.size <= LONG
                options << [above[j - 1][0] + one, [singles[i], above[j - 1][1]]]
              end
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
    end
  end
end
