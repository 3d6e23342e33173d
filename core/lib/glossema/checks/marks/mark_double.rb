# A mark set twice.
module Glossema
  module Checks
    class MarkDouble < Check
      is "mark-double", group: "marks", level: "look"

      TWICE = /(?<![.,;:])([,;:])\1(?!\1)|(?<!\.)\.\.(?!\.|\/)|,\.|\.,(?=\s)/

      def findings(pair)
        return [] if pair.from.match?(TWICE)

        places(pair.into, TWICE).map do |match|
          finding(marks: match[0], target: [match.offset(0)], fix: pair.mended(*match.offset(0), match[0][0]))
        end
      end
    end
  end
end
