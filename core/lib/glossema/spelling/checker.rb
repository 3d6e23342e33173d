# Finds the words of a text that are not in the dictionary of its language, except codes, links, numbers,
# names and added words.
module Glossema
  module Spelling
    # A word that is not known; from…to is its place in the text, in code points.
    Fault = Struct.new(:from, :to, :word)

    class Checker
      # What is joined before a word and written with it: dell'olio, l'arbre, Tarnholt's.
      ENDING = /['’]s?\z/
      # Capitals alone, so short, are an abbreviation.
      ABBREVIATION = /\A\p{Lu}{1,5}s?\z/
      LETTER = /\A[A-Za-z]?\z/
      NO_WORD = %r{\p{Nd}|[_@/]|\p{L}[.:·]\p{L}}
      # A capital inside a word is a name's: eBike, GlossemaApp.
      INSIDE = /\p{Ll}\p{Lu}/
      SUGGESTIONS = 8

      attr_reader :language

      # words: added ones, in any case; names: texts and patterns to ignore, as Terms::Listed takes them.
      def initialize(language, words: [], names: [])
        @language = language
        @dictionary = Dictionary.for(language)
        @own = words.to_h { |word| [Terms::Alike.fold(word), true] }
        @names = Terms::Listed.new(names)
      end

      # Is there a dictionary?
      def there? = !@dictionary.nil?

      # text → [Fault …] in order; none where there is no dictionary.
      def faults(text)
        return [] unless @dictionary

        kept = @names.find(text)
        Terms::Words.tokenize(text, @language).flat_map do |token|
          next [] if token.kind != :word || kept.any? { |one| token.from < one.to && one.from < token.to }

          unknown(token.text, token.from)
        end
      end

      # What may have been meant, best first.
      def suggestions(word) = @dictionary ? @dictionary.suggestions(word).first(SUGGESTIONS) : []

      # Is this word correct, by the dictionary or the added words, or because it is no word?
      def right?(word)
        folded = Terms::Alike.fold(word)
        @own[folded] || aside?(word) || @dictionary.nil? || @dictionary.known?(word) || elided?(word)
      end

      private

      # Of a word that is not known its parts are looked at, if hyphens or apostrophes join it.
      def unknown(word, from)
        return [] if right?(word)

        parts = Offsets.all(word, /[^-‐‑'’]+/)
        return [Fault.new(from, from + word.length, word)] if parts.size < 2

        parts.filter_map do |start, finish|
          part = word[start...finish]
          Fault.new(from + start, from + finish, part) unless right?(part)
        end
      end

      def aside?(word)
        Forms::Carried::UNITS.key?(word) || [LETTER, NO_WORD, ABBREVIATION, INSIDE].any? { |pattern| word.match?(pattern) }
      end

      # What stands before an apostrophe by itself ("dell'"), or has the ending of a possessive.
      def elided?(word)
        bare = word.sub(ENDING, "")
        return false if bare == word

        folded = Terms::Alike.fold(bare)
        elision = Terms::Words::ELIDED[Languages.primary(@language)]
        return true if elision && word.match?(/['’]\z/) && "#{bare}'x".match?(elision)

        @own[folded] || @dictionary.known?(bare)
      end
    end
  end
end
