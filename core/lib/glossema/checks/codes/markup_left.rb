# What is left of markup in a target: tags, character references, codes as text and doubled brackets that the
# source does not have.
module Glossema
  module Checks
    class MarkupLeft < Check
      is "markup-left", group: "codes", level: "must-fix"

      KINDS = [
        %r{</?\p{L}[^<>\n]*>|</?\s*[gx]\s+id\b[^<>\n]*},
        /&(?:amp|lt|gt|quot|apos|nbsp|#\d{1,7}|#x\h{1,6});/i,
        %r{\{/?\d+/?\}},
        /\[\[|\]\]/
      ].freeze

      def findings(pair)
        KINDS.flat_map { |kind| left(pair, kind) }.sort_by { |match| match.begin(0) }
          .map { |match| finding(text: match[0][0, 40], target: [match.offset(0)]) }
      end

      private

      # A text about markup may have it in other words: only what is more than in the source is left over.
      def left(pair, kind)
        found = places(pair.into, kind)
        return [] if found.empty?

        known = pair.from.scan(kind)
        found.size > known.size ? found.reject { |match| known.include?(match[0]) } : []
      end
    end
  end
end
