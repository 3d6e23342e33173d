# How languages join numbers with units, currencies and each other.
module Glossema
  module Forms
    module Units
      # Languages that join the ends of a range with a hyphen (CLDR: range patterns); others take a dash.
      HYPHEN = %w[it nl es pt fr ca ro tr id].freeze

      module_function

      # number, gap and unit as they stand → in the form of a language.
      def joined(number, gap, unit, tag)
        return (Patterns.number(tag, :percent) || "#%").sub(/[#0][#0,.]*/, number) if unit == "%"

        pattern = (key = Carried::UNITS[unit]) && Patterns.unit(tag, key)
        between = (pattern || Patterns.unit(tag, "length-millimeter"))&.slice(/\{0\}([[:space:]]?)/, 1) || gap
        "#{number}#{between}#{symbol(unit, pattern)}"
      end

      # Some units have another symbol there, as km/u in Dutch; words are left to the translator.
      def symbol(unit, pattern)
        there = pattern.to_s.sub(/\{0\}[[:space:]]?/, "")
        there.match?(%r{\A[^\s.{}]+/[^\s.{}]+\z}) ? there : unit
      end
      private_class_method :symbol

      # An amount and its currency, sign or code, as the language orders and parts them.
      def money(sign, number, tag)
        pattern = Patterns.number(tag, :currency)&.split(";")&.first || "¤#,##0.00"
        # A code is not set close to its number.
        pattern = pattern.sub("¤#", "¤#{Patterns::NO_BREAK}#") if sign.match?(/\A[A-Z]/)
        pattern.sub(/[#0][#0,.]*/, number).sub("¤", sign)
      end

      # What stands between the two ends of a range.
      def dash(tag) = HYPHEN.include?(Languages.primary(tag)) ? "-" : "–"
    end
  end
end
