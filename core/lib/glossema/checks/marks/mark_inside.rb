# A sentence that ends in the middle: an end mark with small letters behind it that the source does not have.
module Glossema
  module Checks
    class MarkInside < Check
      is "mark-inside", group: "marks", level: "look"

      # Shorter words before a stop are taken for abbreviations.
      SHORT = /(?<![\p{L}\p{M}])[\p{L}\p{M}.]{1,4}\.\z/
      NUMBER = /\d\.\z/
      # Languages that put a stop behind ordinal numbers.
      ORDINALS = %w[de pl cs sk sl hr sr bs da nb nn no fi hu et lv tr is fo eu].freeze
      INSIDE = /(?<=[\p{L}\p{M}\p{N})])[.!?](?=\s+\p{Ll}(?!\p{Lu}))/

      def findings(pair)
        found = places(pair.into, INSIDE).select { |match| ends?(match, pair.into, pair.target_lang) }
        return [] if found.empty?

        known = places(pair.from, INSIDE).count { |match| ends?(match, pair.from, pair.source_lang) }
        found.size > known ? found.map { |match| finding(mark: match[0], target: [match.offset(0)]) } : []
      end

      private

      # Would a sentence end here, did a capital follow? Not after abbreviations and ordinals.
      def ends?(match, text, language)
        before, behind = text[0...match.end(0)], text[match.end(0)..]
        return false if before.match?(SHORT)
        return false if before.match?(NUMBER) && ORDINALS.include?(Languages.primary(language))

        places = segmenter(language).breaks(before + behind.sub(/\p{Ll}/, &:upcase))
        places.any? { |place| place.between?(before.size, before.size + behind[/\A\s*/].size) }
      end

      def segmenter(language) = (@segmenters ||= {})[language] ||= Segmentation::Segmenter.new(language)
    end
  end
end
