# A question or exclamation in Spanish without its opening mark.
module Glossema
  module Checks
    class OpeningMark < Check
      is "opening-mark", group: "marks", level: "look"

      MARKS = { "?" => "¿", "!" => "¡" }.freeze

      def findings(pair)
        return [] unless pair.target_language == "es"

        MARKS.filter_map do |close, open|
          next if pair.into.include?(open) || !pair.into.match?(/\p{L}#{Regexp.escape(close)}/)

          at = pair.into.rindex(close)
          finding(mark: open, target: [[at, at + 1]], fix: fix(pair, open, close))
        end
      end

      private

      # Certain where the whole text is one sentence.
      def fix(pair, open, close)
        return unless pair.into.count("?!.") == 1 && pair.into.strip.end_with?(close)

        first = pair.into.index(/\p{L}/)
        pair.mended(first, first, open) if first
      end
    end
  end
end
