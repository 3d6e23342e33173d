# Quotation marks that do not pair though those of the source do.
module Glossema
  module Checks
    class QuoteUnpaired < Check
      is "quote-unpaired", group: "marks", level: "look"

      STRAIGHT = /"/
      OPENING, CLOSING, LOW = "“«「《‹", "”»」》›", "„"
      ALL = /["“”„«»「」《》‹›]/

      def findings(pair)
        return [] unless even?(pair.from) && !even?(pair.into)

        [finding(target: places(pair.into, ALL).map { |match| match.offset(0) })]
      end

      private

      # Inches and the like stand behind figures.
      def even?(text)
        return false if text.gsub(/\d"/, "").scan(STRAIGHT).size.odd?

        opening, closing, low = [OPENING, CLOSING, LOW].map { |marks| text.count(marks) }
        # „x“ and „x” close with what opens elsewhere; ”x” is one mark on both sides.
        return (opening + closing - low).between?(0, low) || low == opening + closing if low.positive?

        opening == closing || ([opening, closing].min.zero? && [opening, closing].max.even?)
      end
    end
  end
end
