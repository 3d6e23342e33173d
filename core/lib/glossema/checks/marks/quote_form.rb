# Quotation marks of another language.
module Glossema
  module Checks
    class QuoteForm < Check
      # marks: those that are taken instead, the client's own; none: those of the language.
      is "quote-form", group: "marks", level: "look", parameters: { "marks" => "" }

      # Those a language takes, the opening one first; straight ones are let pass everywhere.
      TAKEN = {
        "en" => "“”‘’", "de" => "„“‚‘»«›‹", "nl" => "“”‘’„", "it" => "«»“”‘’", "fr" => "«»“”‹›’",
        "es" => "«»“”‘’", "pt" => "“”‘’«»", "pl" => "„”«»’", "cs" => "„“‚‘»«’", "ru" => "«»„“’",
        "uk" => "«»„“’", "sv" => "”’»", "da" => "”“„’»«", "nb" => "«»‘’“”", "fi" => "”’»"
      }.freeze
      SWISS = "«»‹›’".freeze
      ALL = /[“”„«»‹›‚]/

      def findings(pair)
        taken = taken(pair)
        return [] if taken.nil?

        wrong = places(pair.into, ALL).reject { |match| taken.include?(match[0]) }
        return [] if wrong.empty?

        marks = wrong.map { |match| match[0] }.uniq.join(" ")
        [finding(marks: marks, target: wrong.map { |match| match.offset(0) })]
      end

      private

      def taken(pair)
        return @parameters["marks"] unless @parameters["marks"].empty?

        pair.target_lang.end_with?("-CH") ? SWISS : TAKEN[pair.target_language]
      end
    end
  end
end
