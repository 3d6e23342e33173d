# Two spaces where the source has one.
module Glossema
  module Checks
    class SpaceDouble < Check
      is "space-double", group: "spaces", level: "look"

      DOUBLE = /(?<=\S)[ \u00A0]{2,}(?=\S)/

      def findings(pair)
        found = places(pair.into, DOUBLE)
        # As many as the source has are its own affair.
        return [] if found.size <= places(pair.from, DOUBLE).size

        found.map do |match|
          finding(target: [match.offset(0)], fix: pair.mended(*match.offset(0), match[0][0]))
        end
      end
    end
  end
end
