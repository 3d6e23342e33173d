# A term of the source whose translation in the termbase is not in the target.
module Glossema
  module Checks
    class TermMissing < Check
      is "term-missing", group: "terms", level: "look"

      def findings(pair)
        return [] unless @terms

        found = @terms.in_source(pair.from).group_by { |one| [one.from, one.to] }
        found.values.filter_map { |same| missing(same, pair) }
      end

      private

      # What makes a verb of an English word that is a noun in termbases: when you brake, always wear.
      VERB = /(?<![\p{L}'’])(?:you|we|they|I|to|not|can|must|will|should|may|always|never|please)[ \u00A0]+\z/i

      # same: Terms::Found at one place; where several concepts share a term any of them may be meant.
      def missing(same, pair)
        targets = same.flat_map { |one| @terms.usable(one.entry) }.uniq(&:written)
        return if targets.empty? || same.any? { |one| @terms.translated?(one.entry, pair.into) }

        from, to = same.first.from, same.first.to
        return if name?(pair.from[from...to], pair.into) || verb?(same, pair)

        finding(term: pair.from[from...to], wanted: targets.first(3).map(&:written).join(", "),
          source: [[from, to]])
      end

      def verb?(same, pair)
        pair.source_language == "en" && pair.from[0...same.first.from].match?(VERB) &&
          same.none? { |one| one.term.part_of_speech == "verb" || one.term.written.include?(" ") }
      end

      # With a capital and as it stands it is part of a name.
      def name?(text, target) = text.match?(/\A\p{Lu}/) && target.include?(text)
    end
  end
end
