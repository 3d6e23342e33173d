# A no-break space of the source that is a plain one now.
module Glossema
  module Checks
    class NoBreakLost < Check
      is "no-break-lost", group: "spaces", level: "look"

      KEPT = /\p{Nd}[\u00A0\u202F]\p{L}/
      PLAIN = /(?<=\p{Nd}) (?=\p{L}{1,3}(?!\p{L}))/

      def findings(pair)
        return [] unless pair.from.match?(KEPT) && !pair.into.match?(/[\u00A0\u202F]/)

        places(pair.into, PLAIN).first(1).map do |match|
          finding(target: [match.offset(0)], fix: pair.mended(*match.offset(0), "\u00A0"))
        end
      end
    end
  end
end
