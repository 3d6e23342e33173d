# A source left as it is, though it holds words of its language.
module Glossema
  module Checks
    class TargetSame < Check
      is "target-same", group: "completeness", level: "look"

      # Among so many of its most frequent words a language knows its own; a word by itself stands in many
      # interfaces, so it must be among the first.
      FREQUENT, ALONE = 3000, 300
      # So much more frequent in the one than in the other it belongs to the one.
      MUCH = 20
      WORD = /\p{L}[\p{L}\p{M}'’-]*/
      TAG = %r{</?[a-zA-Z][\w:-]*(?:\s+[\w:-]+\s*=\s*(?:"[^"]*"|'[^']*'))*\s*/?>}
      FORMULA = /\A=\p{Lu}+\(.*\)\z/
      # Texts of other scripts hold no two small Latin words of their own.
      NOT_LATIN = %w[ar be bg el fa he hi ja ka ko mk ru sr th uk ur zh].freeze
      SMALL_LATIN = /(?<![\p{L}\p{N}_.\/-])[a-z]{3,}(?![\p{L}\p{N}_\/-])/

      def findings(pair)
        return [] if pair.source_language == pair.target_language
        return [] unless pair.from.strip == pair.into.strip && user_words?(pair)

        [finding(source: [[0, pair.from.length]], target: [[0, pair.into.length]])]
      end

      private

      # Names, codes and figures are the same everywhere, and so are words that both languages have.
      def user_words?(pair)
        text = bare(unkept(pair))
        words = text.scan(WORD)
        return true if words.size > 1 && (foreign?(words, pair) || latin?(text, pair))

        if words.size > 1
          words.any? { |word| own?(word, FREQUENT, pair) }
        else
          most = foreign?(words, pair) ? FREQUENT : ALONE
          words.any? { |word| own?(word, most, pair) && !dictionary(pair.target_lang)&.known?(word.downcase) }
        end
      end

      # The source without what is to be the same in the target: things never to be translated, and terms
      # whose translation is the term itself.
      def unkept(pair)
        text = pair.from.dup
        kept = listed.find(text) + (@terms ? same_terms(pair) : [])
        kept.each { |one| text[one.from...one.to] = " " * (one.to - one.from) }
        text
      end

      def listed = @listed ||= Terms::Listed.new(@lists.fetch("never_translated", []))

      def same_terms(pair)
        @terms.in_source(pair.from).select do |found|
          @terms.usable(found.entry).any? { |term| term.written == pair.from[found.from...found.to] }
        end
      end

      # More frequent in the one than in the other.
      def own?(word, most, pair)
        here, there = [pair.source_lang, pair.target_lang].map { |lang| rank(word, lang) }
        word.length > 1 && here <= most && (there > FREQUENT || there > here * MUCH)
      end

      def latin?(text, pair)
        NOT_LATIN.include?(pair.target_language) && !NOT_LATIN.include?(pair.source_language) &&
          text.scan(SMALL_LATIN).size > 1
      end

      # Most of its words are in the dictionary of the source language and not in that of the other.
      def foreign?(words, pair)
        here, there = [pair.source_lang, pair.target_lang].map { |lang| dictionary(lang) }
        return false unless here && there

        small = words.map { |word| word.match?(/\A\p{Lu}\p{Ll}+\z/) ? word.downcase : word }.uniq
        own = small.count do |word|
          here.known?(word) && [word, word.capitalize].none? { |form| there.known?(form) }
        end
        own * 2 >= small.size
      end

      def dictionary(lang) = Spelling::Dictionary.for(lang)

      def bare(text)
        aside = [FORMULA, TAG, LinkChanged::ADDRESS, Placeholders::PATTERN]
        aside.reduce(text) { |rest, pattern| rest.gsub(pattern, " ") }
      end

      def rank(word, lang) = Terms::GeneralWords.for(lang).rank(word)
    end
  end
end
