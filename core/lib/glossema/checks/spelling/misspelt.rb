# A word that no dictionary of the target language knows. Off by itself: the words of a whole text are better
# looked at in one list.
module Glossema
  module Checks
    class Misspelt < Check
      is "misspelt", group: "spelling", level: "look", off: true

      # A word has so many suggestions in a sentence.
      SHOWN = 3

      def findings(pair)
        checker = speller(pair.target_lang)
        return [] unless checker.there?

        checker.faults(pair.into).map do |fault|
          meant = checker.suggestions(fault.word).first(SHOWN).join(", ")
          variant = meant.empty? ? "unknown" : "meant"
          finding(variant, word: fault.word, meant: meant, target: [[fault.from, fault.to]])
        end
      end

      private

      def speller(lang) = @speller || ((@spellers ||= {})[lang] ||= Spelling::Checker.new(lang))
    end
  end
end
