# Are two words of a language forms of the same one? By stems (Snowball), told apart or brought together by
# the spelling dictionary where there is one, and one slip of the pen is forgiven.
require "lingua/stemmer"
require "damerau-levenshtein"
require "yaml"

module Glossema
  module Terms
    class Alike
      ENDINGS =
        YAML.load_file(File.join(ROOT, "data/terms/endings.yml"))
          .transform_values { |sets| sets.map { |set| set.to_h { |ending| [ending.to_s, true] } } }.freeze
      # A slip is forgiven in words of so many letters or more.
      SLIP, LONGEST_SLIP = 5, 100
      # Forms of one word begin with so many letters of it at least.
      BEGINNING = 3
      STEMMED = %w[da de en es fi fr hu it nl no pt ro ru sv tr].freeze
      SAME_STEMMER = { "nb" => "no", "nn" => "no" }.freeze
      REMEMBERED = 50_000
      # How spelling changes before an ending: Dutch haak, haken; Spanish luz, luces.
      SPELLING = {
        "nl" => [[/([aeou])\1/, '\1']],
        "es" => [[/ces\z/, "zes"]]
      }.freeze

      @known = {}
      # One for each language; regions share it.
      def self.for(tag) = @known[Languages.primary(tag)] ||= new(tag)

      # What counts as the same letter: case folded, one form of apostrophe, NFC.
      def self.fold(word) = word.unicode_normalize(:nfc).downcase.tr("’ʼ", "''")

      # Without accents, doubled consonants single: how endings are compared.
      def self.bare(folded) =
        folded.unicode_normalize(:nfd).gsub(/\p{Mn}/, "").tr("ß", "s").gsub(/([^aeiou\d])\1/, '\1')

      def initialize(tag)
        @tag, @language = tag, Languages.primary(tag)
        name = SAME_STEMMER.fetch(@language, @language)
        @stemmer = Lingua::Stemmer.new(language: name, encoding: "UTF_8") if STEMMED.include?(name)
        @sets = ENDINGS[@language]
        @stems, @lock = {}, Mutex.new
      end

      # The Snowball stem of a folded word; the word itself where its language has no stemmer.
      def stem(folded)
        return folded unless @stemmer

        @lock.synchronize do
          @stems.clear if @stems.size > REMEMBERED
          @stems[folded] ||= @stemmer.stem(folded).dup.force_encoding("UTF-8")
        end
      end

      # word: of a text; other: of a term, both as they are written. Words with digits are never alike.
      def same?(word, other)
        one, two = Alike.fold(word), Alike.fold(other)
        return true if one == two
        return false if one.match?(/\d/) || two.match?(/\d/)

        related?(word, other, one, two) || slip?(word, other, one, two)
      end

      # Could one be a form of the other by their endings alone? Of folded words.
      def inflected?(one, two)
        return false unless @sets

        one, two = loose(one), loose(two)
        shared = shared(one, two)
        shorter = [one.length, two.length].min
        # Of three letters two are enough: asse, assi.
        least = [[BEGINNING, shorter - 1].min, (shorter + 1) / 2].max
        shared.downto(least).any? do |at|
          @sets.any? { |set| set[one[at..]] && set[two[at..]] }
        end
      end

      private

      def dictionary = defined?(@dictionary) ? @dictionary : @dictionary = Spelling::Dictionary.for(@tag)

      # The dictionary is asked only where stems and endings leave a doubt.
      def related?(word, other, one, two)
        stemmed, inflected = stemmed?(one, two), inflected?(one, two)
        return stemmed || inflected unless dictionary && @sets && (stemmed || inflected)

        told_apart(word, other, stemmed, inflected)
      end

      def told_apart(word, other, stemmed, inflected)
        bases, others = dictionary.stems(word), dictionary.stems(other)
        return stemmed if bases.empty? || others.empty?

        shared = bases.intersect?(others)
        return stemmed || shared if inflected

        # Each is a word of its own: organ, organization.
        shared && !(bases.include?(word) && others.include?(other))
      end

      def stemmed?(one, two)
        stem(one) == stem(two) || (SPELLING.key?(@language) && stem(loose(one)) == stem(loose(two)))
      end

      # A slip makes something that is no word; a word that is right is another word.
      def slip?(word, _other, one, two)
        return false if [one, two].any? { |word| !word.length.between?(SLIP, LONGEST_SLIP) }
        return false if (one.length - two.length).abs > 1
        return false if DamerauLevenshtein.distance(one, two, 1, 1) > 1

        dictionary.nil? || !dictionary.known?(word) || Alike.bare(one) == Alike.bare(two)
      end

      def loose(folded)
        SPELLING.fetch(@language, []).reduce(Alike.bare(folded)) { |word, (from, to)| word.gsub(from, to) }
      end

      def shared(one, two)
        shorter = [one.length, two.length].min
        (0...shorter).find { |at| one[at] != two[at] } || shorter
      end
    end
  end
end
