# Terms that a text seems to have: words and groups of words that come again and again, are rare in the
# language at large, have the shape of a term, and are not yet in a termbase.
module Glossema
  module Terms
    # term: as it stands most often; count: how often it and its forms stand there; score: the higher, the
    # likelier a term; examples: sentences it stands in.
    Candidate = Struct.new(:term, :count, :score, :examples)

    class Candidates
      # A term has so many words at most, and comes so often at least.
      WORDS = 4
      LEAST = 2
      EXAMPLES = 3
      # A single word in capitals or of letters only, so long, may be a term.
      LETTERS = 3
      # A group that stands inside a longer one nearly always is no term of its own.
      INSIDE = 0.8
      # What may stand between the words of a term: nothing, a space or a no-break space.
      BLANKS = [[], [0x20], [0xA0]].freeze

      # What is known of a group of words: how often, how often inside a longer one, as what, and where.
      Group = Struct.new(:count, :inside, :forms, :places, :size)

      # texts: of segments, in one language; known: Terms::Entry list whose terms are left out; refused: texts
      # that were refused for good.
      def initialize(texts, lang, known: [], refused: [])
        @texts, @lang = texts.uniq, lang
        @weights = texts.tally
        @general = GeneralWords.for(lang)
        @alike = Alike.for(lang)
        @finder = Finder.new(lang, known)
        @refused = refused.to_h { |text| [key(text), true] }
      end

      # [Candidate …], best first.
      def list(limit: 100)
        groups = groups()
        groups.each { |key, group| hide(groups, key, group) }
        found = groups.filter_map { |_, group| candidate(group) }
        found.sort_by { |one| [-one.score, one.term] }.first(limit)
      end

      private

      # {[stems] => Group} of all groups of words that may be terms.
      def groups
        found = {}
        @texts.each_with_index do |text, place|
          runs(text).each do |run|
            (0...run.size).each { |from|
              (1..WORDS).each { |size|
                take(found, run[from, size], size, place)
              }
            }
          end
        end
        found.select { |_, group| group.count >= LEAST }
      end

      # The words of a text that stand together with nothing between.
      def runs(text)
        points = text.codepoints
        Words.tokenize(text, @lang).slice_when { |one, other| apart?(points, one, other) }
          .map { |run| run.select { |token| token.kind == :word } }.reject(&:empty?)
      end

      # points: the code points of the text; they are found by their place at once, characters are not.
      def apart?(points, one, other) =
        one.kind != :word || other.kind != :word || !BLANKS.include?(points[one.to...other.from])

      def take(found, run, size, place)
        return unless run.size == size && shaped?(run)

        group = found[run.map { |token| stem(token.text) }] ||= Group.new(0, 0, Hash.new(0), [], size)
        weight = @weights[@texts[place]]
        group.count += weight
        group.forms[run.map(&:text).join(run.first.text.match?(/['’]\z/) ? "" : " ")] += weight
        group.places << place if group.places.last != place && group.places.size < EXAMPLES
      end

      # It begins and ends with a word that means something; between there may be a small one ("spazio di
      # frenata") where the language makes terms so.
      def shaped?(run)
        return false unless [run.first, run.last].all? { |token| meaning?(token.text) }

        inner = run[1...-1].to_a
        inner.all? { |token| meaning?(token.text) || (linking? && link?(token.text)) }
      end

      def meaning?(word)
        return false if word.length < LETTERS || word.match?(%r{[@/_]|\A\p{Nd}}) || !word.match?(/\A\p{L}/)

        @general.rank(word) > GeneralWords::SMALL
      end

      def linking? = %w[it fr es pt ca ro].include?(Languages.primary(@lang))

      def link?(word)
        word.match?(/\A(?:di|da|a|del|della|dei|delle|degli|de|du|des|do|da|dos|das|à|en|el|la|d['’])\z/i)
      end

      def stem(word) = @alike.stem(Alike.fold(word))
      def key(text) = Words.tokenize(text, @lang).map { |token| stem(token.text) }

      # Counts of a longer group are taken off those inside it.
      def hide(groups, key, group)
        return if group.size < 2

        (1...group.size).each do |size|
          (0..(group.size - size)).each do |from|
            inner = groups[key[from, size]]
            inner.inside = [inner.inside, group.count].max if inner
          end
        end
      end

      def candidate(group)
        return if group.size < WORDS && group.inside >= group.count * INSIDE

        form = group.forms.max_by { |text, count| [count, text.match?(/\A\p{Lu}/) ? 0 : 1] }.first
        form = form.sub(/\A\p{Lu}(?=\p{Ll})/, &:downcase) if small?(group, form)
        return if known?(form) || @refused[key(form)]

        score = (Math.log2(group.count + 1 - (group.inside * 0.5)) * rarity(form) * shape(group)).round(2)
        Candidate.new(form, group.count, score, group.places.map { |place| @texts[place] })
      end

      # A capital only at the beginning of sentences is none of the term's.
      def small?(group, form) =
        !Languages.same?(@lang, "de") &&
          (group.forms.key?(form.sub(/\A./, &:downcase)) || group.places.all? { |place|
            begins?(place, form)
          })

      def begins?(place, form) = @texts[place].match?(/\A\P{L}*#{Regexp.escape(form)}/)

      def known?(form)
        found = @finder.find(form)
        found.any? { |one| one.from.zero? && one.to == form.length }
      end

      # How much rarer its words are in the language at large than common ones.
      def rarity(form)
        ranks = form.scan(/[\p{L}\p{M}]+/).select { |word|
          meaning?(word)
        }.map { |word| Math.log2(@general.rank(word)) }
        ranks.empty? ? 0 : (ranks.sum / ranks.size) / GeneralWords::UNKNOWN
      end

      def shape(group) = [1.0, 1.5, 1.4, 1.2][group.size - 1]
    end
  end
end
