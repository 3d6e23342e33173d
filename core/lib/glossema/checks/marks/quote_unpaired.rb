# Quotation marks that do not pair though those of the source do.
module Glossema
  module Checks
    class QuoteUnpaired < Check
      is "quote-unpaired", group: "marks", level: "look"

      STRAIGHT = /"/
      PAIRS = [%w[“ ”], %w[« »], %w[„ “”], %w[「 」], %w[《 》], %w[‹ ›]].freeze

      def findings(pair)
        return [] unless even?(pair.from, pair.source_language) && !even?(pair.into, pair.target_language)

        [finding(target: places(pair.into, /["“”„«»「」‹›]/).map { |match| match.offset(0) })]
      end

      private

      # Inches and the like stand behind figures.
      def even?(text, _language)
        return false if text.gsub(/\d"/, "").scan(STRAIGHT).size.odd?

        # All that open against all that close, whichever the language takes.
        low = text.count("„‚")
        opening = text.count("“«「《‹")
        closing = text.count("”»」》›")
        if low.positive?
          (opening + closing - low).between?(0,
            low) || low == opening + closing
        else
          opening == closing
        end
      end
    end
  end
end
