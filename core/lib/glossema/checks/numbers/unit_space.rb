# A unit that lost the space before it, though the source and the language set one.
module Glossema
  module Checks
    class UnitSpace < Check
      is "unit-space", group: "numbers", level: "look"

      def findings(pair)
        spaced = places(pair.from, Forms::Carried::WITH_UNIT).reject { |match| match[:gap].empty? }
        units = spaced.map { |match| match[:unit] }
        places(pair.into, Forms::Carried::WITH_UNIT).filter_map do |match|
          next unless match[:gap].empty? && units.include?(match[:unit])

          wanted = Forms::Units.joined(match[:number], "\u00A0", match[:unit], pair.target_lang)
          next if wanted.match?(/\p{Nd}\S/) && !wanted.match?(/[[:space:]]/)

          finding(wanted: wanted, target: [match.offset(0)], fix: pair.mended(*match.offset(0), wanted))
        end
      end
    end
  end
end
