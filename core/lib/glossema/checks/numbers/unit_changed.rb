# A number with another unit than in the source, or with the unit written to it against the habit.
module Glossema
  module Checks
    class UnitChanged < Check
      is "unit-changed", group: "numbers", level: "must-fix"

      # One of them in a text: value as written, what stands between, the unit, its place.
      Amount = Struct.new(:number, :gap, :unit, :from, :to)

      def findings(pair)
        there = amounts(pair.into)
        amounts(pair.from).filter_map do |amount|
          wanted = Forms::Numbers.convert(amount.number, pair.source_lang, pair.target_lang)
          same = there.select { |one| [amount.number, wanted].include?(one.number) }
          next if same.empty? || same.any? { |one| kind(one) == kind(amount) }

          finding_for(amount, same.first)
        end
      end

      private

      def amounts(text)
        places(text, Forms::Carried::WITH_UNIT).map do |match|
          Amount.new(match[:number], match[:gap], match[:unit], *match.offset(0))
        end
      end

      # By what a unit is, in whichever way it is written.
      def kind(amount) = Forms::Carried::UNITS.fetch(amount.unit) || amount.unit.downcase

      def finding_for(amount, other)
        finding(unit: amount.unit, other: other.unit, source: [[amount.from, amount.to]],
          target: [[other.from, other.to]])
      end
    end
  end
end
