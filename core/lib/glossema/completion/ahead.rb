# All that is worked out for one segment, so that what may follow is known as soon as a key is pressed: a
# product of what follows generally, what follows in units like it, and what translates the words of the
# source that are not translated yet.
module Glossema
  module Completion
    class Ahead
      # How much each of the three counts (exponents), found by trying on a memory of 40,000 units.
      GENERAL, LIKE, LEXICAL = 0.25, 0.3, 0.6
      # What each gives at least.
      FLOORS = [1e-7, 2e-4, 2e-4].freeze
      # What is less likely than this is left out.
      UNLIKELY = 5e-5
      # Of the likeliest so many are followed on, as deep, while they are as likely as this.
      FIRST, DEEP, FOLLOWED, LEAST = 15, 8, 0.02, 0.03
      # The likelihood of a word that was never seen, by how much of it is typed.
      UNSEEN, UNSEEN_BEGUN, UNSEEN_LETTER = 0.05, 0.006, 0.6
      # How likely a mark that is typed is part of a longer token.
      PART_OF_MARK = 0.3
      # A word is taken to be translated when its translation is there, as surely as this.
      TRANSLATED, SURE = 0.2, 0.95
      # A mark that ends a sentence, and how much of the source may be untranslated when it is offered: of a
      # longer offer nobody notices it in the middle of a sentence.
      END_MARK, LEFT = /\A\s*[.!?…。！？]\z/, 0.2
      # Stands for a token of which nothing is known; the first number that is a token.
      UNKNOWN, FIRST_TOKEN = -1, 2

      # context: CompletionContext
      def initialize(context)
        @context, @names = context, context.names
        @numbers = @names.each_with_index.drop(2).to_h
        @ending = @numbers.select { |name, _| name.match?(END_MARK) }.values
        @general, @like = Bigrams.new(context.ones, context.twos), Likeness.new(context.like)
        @things = Things.new(context.source, context.things.map { |thing| Things::Thing.new(*thing) })
        @after = {}
      end

      # Completions of a typed text: [Offer …], best first. Each begins after its last letter.
      def offers(prefix, limit: 5)
        found = {}
        readings(prefix).each { |before, begun, weight| continue(before, begun, weight, found) }
        @things.after(prefix).each { |text, offer| better(found, text, *offer) }
        Choice.choose(found, limit)
      end

      private

      # [[tokens before, what is begun, how likely], …]: the last token may be whole or the beginning of one.
      def readings(prefix)
        tokens = Tokens.tokenize(prefix)
        return [[tokens, prefix.empty? ? "" : " ", 1.0]] if prefix.match?(/\s\z|\A\z/)
        return [[tokens[0...-1], tokens.last, 1.0]] if tokens.last.match?(/[\p{L}\p{M}\p{N}]\z/)

        [[tokens, "", 1.0], [tokens[0...-1], tokens.last, PART_OF_MARK]]
      end

      def continue(tokens, begun, weight, found)
        begun = begun.lstrip if tokens.empty?
        before = Tokens.normal(tokens) { |small| @numbers.key?(small) }.map { |token| @numbers[token] }
        list = beginning_with(begun, before, tokens.empty?)
        sum = list.sum { |_, _, likely| likely } + unseen(begun.strip.length)
        list.first(FIRST).reject { |_, id, _| early?(id, before) }.each do |name, id, likely|
          rest = name[begun.length..]
          same = list.sum { |other, _, chance| other.start_with?(name) ? chance : 0.0 }
          better(found, rest, same / sum * weight, "memory")
          chance = likely / sum * weight
          follow([*before, id], rest, chance, found, 0) if chance > FOLLOWED
        end
      end

      # [[name, id, how likely it comes next], …] of the tokens that begin so.
      def beginning_with(begun, before, first)
        following(before).filter_map do |id, likely|
          name = shown(id, first)
          [name, id, likely] if name.start_with?(begun)
        end
      end

      def unseen(letters) = letters.zero? ? UNSEEN : UNSEEN_BEGUN * (UNSEEN_LETTER**letters)

      # The first word of a text has a capital where the source has one.
      def shown(id, first)
        name = @names[id]
        return name unless first

        name = name.lstrip
        return name if name.start_with?("<")

        @context.source.match?(/\A[^\p{L}]*\p{Lu}/) ? name.sub(/\p{L}/, &:upcase) : name
      end

      def follow(before, text, likely, found, depth)
        return if depth >= DEEP

        list = following(before)
        blank = list.sum { |id, chance| @names[id].start_with?(" ") ? chance : 0.0 }
        better(found, "#{text} ", blank * likely, "memory")
        list.first(depth.zero? ? 4 : 2).each do |id, chance|
          next if chance * likely < LEAST || early?(id, before)

          longer = text + @names[id]
          better(found, longer, chance * likely, "memory")
          follow([*before, id], longer, chance * likely, found, depth + 1)
        end
      end

      def better(found, text, likely, kind)
        found[text] = [likely, kind] if likely > (found[text]&.first || 0)
      end

      # [[id, how likely it comes next], …] after the ids before, the likeliest first.
      def following(before)
        @after[before] ||= begin
          last, earlier = before[-1] || CompletionContext::START, before[-2] || CompletionContext::START
          last = UNKNOWN if before.any? && before[-1].nil?
          earlier = UNKNOWN if before.size > 1 && before[-2].nil?
          weigh(before, earlier, last)
        end
      end

      def weigh(before, earlier, last)
        general, like = @general.after(last), @like.after(earlier, last)
        open = untranslated(before)
        sum = open.sum + 1e-9
        list = (FIRST_TOKEN...@names.size).map do |id|
          lexical = @context.lexical[id].sum { |at, chance| chance * open[at] } / sum
          [(general.call(id) + FLOORS[0])**GENERAL * (like.call(id) + FLOORS[1])**LIKE *
            (lexical + FLOORS[2])**LEXICAL, id]
        end
        all = list.sum(&:first)
        list.select { |weight, _| weight > all * UNLIKELY }.sort_by { |weight, _| -weight }
          .map { |weight, id| [id, weight / all] }
      end

      # Would it end the sentence before it is translated?
      def early?(id, before)
        return false unless @ending.include?(id)

        untranslated(before).sum > @context.rarity.sum * LEFT
      end

      # What each word of the source still counts: its rarity, less what is there of its translation.
      def untranslated(before)
        left = Array.new(@context.rarity.size, 1.0)
        before.compact.each do |id|
          chances = @context.lexical[id]
          sum = chances.sum(&:last)
          next if sum < 0.02

          at, chance = chances.max_by { |place, likely| likely * left[place] }
          share = chance / sum
          left[at] *= 1 - [share, SURE].min if share > TRANSLATED
        end
        left.each_with_index.map { |value, at| value * @context.rarity[at] }
      end
    end
  end
end
