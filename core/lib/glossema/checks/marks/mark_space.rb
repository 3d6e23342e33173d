# A space before a mark, or none after it, against the habit of the language.
module Glossema
  module Checks
    class MarkSpace < Check
      is "mark-space", group: "marks", level: "look"

      BEFORE = /(?<=[\p{L}\p{N})\]”»"])[ \u00A0\u202F]+(?=[,.;:!?](?:\s|\z)|[)\]](?:\s|[.,;:!?]|\z))/
      AFTER = /(?<=\p{L}\p{L})(?<!&[a-z]{2}|&[a-z]{3}|&[a-z]{4}|&[a-z]{5}|&[a-z]{6})[,;!?](?=\p{L}\p{L})/
      NO_BREAK = /[\u00A0\u202F\u2009]/

      def findings(pair)
        return [] if %w[ja zh].include?(pair.target_language)
        # French has its own check.
        return after(pair) if pair.target_language == "fr"

        before(pair) + after(pair)
      end

      private

      def before(pair)
        return [] if pair.from.match?(BEFORE)

        places(pair.into, BEFORE).map do |match|
          finding("before", mark: pair.into[match.end(0)], target: [match.offset(0)],
            fix: pair.mended(*match.offset(0), ""))
        end
      end

      def after(pair)
        found = places(pair.into, AFTER)
        return [] if found.empty? || pair.from.match?(AFTER) || pair.into.match?(LinkChanged::ADDRESS)

        found.map do |match|
          finding("after", mark: match[0], target: [match.offset(0)],
            fix: pair.mended(*match.offset(0), "#{match[0]} "))
        end
      end
    end
  end
end
