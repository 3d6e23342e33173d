# How a term is written where it is put, and how it is written down when it is picked from a text.
module Glossema
  module Terms
    module Placed
      # What a sentence begins after.
      BEGINNING = /(?:\A|[.!?…]["”»’)]*\s+)["“„«(\s]*\z/

      module_function

      # Does a sentence begin after this text?
      def beginning_after?(text) = text.match?(BEGINNING)

      # The text of a term at the beginning of a sentence.
      def beginning(text) = text.sub(/\A\p{Ll}/, &:upcase)

      # A text picked out of another, as it goes into a termbase: without marks around it, and small at the
      # beginning of a sentence unless it is written so elsewhere (German nouns, names and abbreviations).
      def picked(text, around, lang)
        word = text.strip.gsub(/\A[\p{P}\s]+(?=[\p{L}\p{N}])|(?<=[\p{L}\p{N}])[\p{P}\s]+\z/, "")
        at = around.index(word)
        return word unless at && word.match?(/\A\p{Lu}\p{Ll}/) && beginning_after?(around[0...at])
        return word if Languages.same?(lang, "de") || around[(at + 1)..].include?(word)

        words = Words.tokenize(word, lang).map(&:text)
        words.drop(1).any? { |one| one.match?(/\A\p{Lu}/) } ? word : word.sub(/\A\p{Lu}/, &:downcase)
      end
    end
  end
end
