# What terms are likely translated as, told from pairs of texts: the group of words that stands in the
# translations of the texts with the term and hardly in others. Measured by the coefficient of Dice,
# 2 × both ÷ (with the one + with the other), over pairs of texts.
module Glossema
  module Terms
    class Translations
      # A translation has so many words at most.
      WORDS = 5
      # So many pairs of a term are looked at, and what is less sure than this is no translation.
      PAIRS, LEAST = 60, 0.25
      # Longer texts say little about which of their words belong together.
      LONGEST = 80

      # pairs: [[source text, target text] …]; languages: [source tag, target tag].
      def initialize(pairs, languages)
        @pairs = pairs
        @source, @target = languages.map { |tag| Groups.new(tag) }
      end

      # terms: array of texts. Returns {term => [translation, how sure, 0 to 1]} of those that have one.
      def find(terms)
        places = places_of(terms)
        looked_at = places.values.flat_map { |list| list.first(PAIRS) }.uniq
        groups = looked_at.to_h { |place| [place, @target.in(@pairs[place][1], WORDS)] }
        counted = counts(groups.values.flat_map(&:keys).uniq)
        places.filter_map { |term, list| best(list, groups, counted)&.then { |found| [term, found] } }.to_h
      end

      private

      # {term => [places of pairs it stands in]}
      def places_of(terms)
        keys = terms.to_h { |term| [term, @source.key(term)] }
        wanted = keys.values.to_h { |key| [key, []] }
        longest = wanted.each_key.map(&:size).max || 0
        @pairs.each_with_index do |(source, _), place|
          @source.in(source, longest).each_key { |key| wanted[key]&.push(place) }
        end
        keys.transform_values { |key| wanted[key] }
      end

      # {group => in how many translations it stands} of those that are wanted.
      def counts(wanted)
        found = wanted.to_h { |key| [key, 0] }
        @pairs.each do |_, target|
          @target.in(target, WORDS).each_key { |key| found[key] += 1 if found.key?(key) }
        end
        found
      end

      # [translation, how sure]; of groups as sure as each other the longest, in the form it has most often.
      def best(list, groups, counted)
        seen = list.first(PAIRS)
        both = seen.flat_map { |place| groups[place].keys }.tally
        # As often as among those looked at it stands in all.
        both.transform_values! { |times| times * list.size / seen.size.to_f }
        key, together = both.max_by { |key, times| [sure(times, list.size, counted[key]), key.size] }
        return unless key && sure(together, list.size, counted[key]) >= LEAST

        forms = seen.filter_map { |place| groups[place][key] }.tally
        [forms.max_by(&:last).first, sure(together, list.size, counted[key]).round(2)]
      end

      def sure(together, one, other) = [2.0 * together / (one + other), 1.0].min

      # The groups of words of texts of a language.
      class Groups
        def initialize(tag)
          @tag, @alike, @general = tag, Alike.for(tag), GeneralWords.for(tag)
        end

        # text → {[stems of the words that mean something] => all words as they stand} of up to so many that
        # stand together and begin and end with one that means something.
        def in(text, most)
          words = words(text)
          return {} if words.size > LONGEST

          runs(words, most).each_with_object({}) do |run, found|
            found[stems(run)] ||= Placed.picked(text[run.first.from...run.last.to], text, @tag)
          end
        end

        def key(text) = stems(words(text).compact)

        private

        # The words of a text, nil where something stands between two.
        def words(text)
          Words.tokenize(text, @tag).map { |token| token if token.kind == :word }
        end

        def runs(words, most)
          words.each_index.flat_map do |from|
            (1..most).filter_map do |size|
              run = words[from, size]
              run if run.size == size && run.all? && [run.first, run.last].all? { |word| meaning?(word.text) }
            end
          end
        end

        # Of "del freno" and "dei freni" the same.
        def stems(run)
          own = run.select { |word| meaning?(word.text) }
          (own.empty? ? run : own).map { |word| stem(word.text) }
        end

        def stem(word) = @alike.stem(Alike.fold(word))
        def meaning?(word) = @general.rank(word) > GeneralWords::SMALL
      end
    end
  end
end
