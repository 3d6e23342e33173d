# A number whose marks are not those of the target language.
module Glossema
  module Checks
    class NumberForm < Check
      is "number-form", group: "numbers", level: "look"

      def findings(pair)
        pair.quantities.misformed.map do |number, other, wanted|
          finding(number: other.text, wanted: wanted, source: [[number.from, number.to]],
            target: [[other.from, other.to]], fix: pair.mended(other.from, other.to, wanted))
        end
      end
    end
  end
end
