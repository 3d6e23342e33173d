# A placeholder that the program fills in and that is not there as it was.
module Glossema
  module Checks
    class PlaceholderChanged < Check
      is "placeholder-changed", group: "links", level: "must-fix"

      PRINTF = /%(?:\d+\$)?[-+0#]*\d*(?:\.\d+)?[sdifuxXcoeEgGp@](?![\p{L}\d])|%\([\w.]+\)[sdif]/
      NUMBERED = /%\d+(?!\d|[.,]\d|\s*\p{L})(?=\W|\z)|%[\w.]{2,}%/
      BRACED = /\{\{[^{}]{1,60}\}\}|[$#]?\{[\w.:-]{1,60}\}|\$\([\w.]{1,60}\)/
      PLACEHOLDER = Regexp.union(PRINTF, NUMBERED, BRACED)

      def findings(pair)
        source, target = [pair.from, pair.into].map { |text| places(text, PLACEHOLDER) }
        counts = target.map { |match| match[0] }.tally
        lost = source.reject { |match| counts.fetch(match[0], 0).positive? && (counts[match[0]] -= 1) }
        counts = source.map { |match| match[0] }.tally
        added = target.reject { |match| counts.fetch(match[0], 0).positive? && (counts[match[0]] -= 1) }
        told("missing", lost, :source) + told("added", added, :target)
      end

      private

      def told(variant, matches, side) =
        matches.map { |match| finding(variant, placeholder: match[0], side => [match.offset(0)]) }
    end
  end
end
