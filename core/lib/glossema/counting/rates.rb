# The rates of a translator: price per unit, weight of each match band, rounding and minimum of the total.
require "bigdecimal"

module Glossema
  module Counting
    class Rates
      UNITS = %w[word hour page flat].freeze
      NUMBER = /\A-?\d{1,12}(?:\.\d{1,10})?\z/
      PAGE = 1500

      # given: {"currency" => "EUR", "unit" => "word", "rate" => "0.12", "weights" => {band => "0.1"},
      # "minimum" => "40", "rush" => "0.25", "rounding" => "0.10", "page_characters" => "1500",
      # "words_per_hour" => "350"}; numbers are strings with a decimal point. What is not named: weight 1, no
      # minimum, no rush, rounding to the smallest unit of the currency. Raises Refused "rate-wrong",
      # "weight-wrong", "currency-unknown", "unit-unknown" or "band-unknown".
      def initialize(given)
        @given = given.compact.reject { |_, value| value == "" }
        @currency = known_currency
        @unit = @given.fetch("unit", "word")
        raise Refused.new("unit-unknown", unit: @unit) unless UNITS.include?(@unit)

        @rate = number("rate", @given["rate"])
        check_bands
        @weights = Bands::NAMES.to_h { |band| [band, weight(band)] }
        @minimum = number("minimum", @given.fetch("minimum", "0"))
        @rush = number("rush", @given.fetch("rush", "0"))
        @rounding = number("rounding", @given.fetch("rounding", "0"))
        @rounding = smallest if @rounding.zero?
        @page_characters = positive("page_characters", PAGE)
        @words_per_hour = @given.key?("words_per_hour") ? positive("words_per_hour", nil) : nil
        needs_pace if @unit == "hour"
      end

      attr_reader :currency, :unit, :rate, :weights, :minimum, :rush, :rounding
      attr_reader :page_characters, :words_per_hour

      # The smallest amount of the currency, such as 0.01.
      def smallest = BigDecimal("1") / currency.subunit_to_unit

      # An amount as a string with as many decimals as the currency has.
      def money(amount)
        digits = Math.log10(currency.subunit_to_unit).round
        whole, part = amount.round(digits, half: :up).to_s("F").split(".")
        digits.zero? ? whole : "#{whole}.#{part.ljust(digits, "0")}"
      end

      private

      def known_currency
        require "money"
        code = @given["currency"].to_s
        Money::Currency.find(code) || raise(Refused.new("currency-unknown", currency: code))
      end

      def weight(band)
        given = @given.fetch("weights", {})[band]
        return BigDecimal("1") if given.nil? || given == ""

        number = decimal(given)
        raise Refused.new("weight-wrong", band: band, value: given) unless number&.between?(0, 1)

        number
      end

      def check_bands
        unknown = @given.fetch("weights", {}).keys - Bands::NAMES
        raise Refused.new("band-unknown", band: unknown.first, bands: Bands::NAMES.join(", ")) if unknown.any?
      end

      # An amount that is not below nothing.
      def number(name, given)
        found = decimal(given)
        raise Refused.new("rate-wrong.#{name}", value: given) if found.nil? || found.negative?

        found
      end

      def positive(name, otherwise)
        given = @given.fetch(name, otherwise)
        found = decimal(given)
        raise Refused.new("rate-wrong.#{name}", value: given) unless found&.positive?

        found
      end

      def decimal(given) = given.to_s.match?(NUMBER) ? BigDecimal(given.to_s) : nil

      def needs_pace
        raise Refused.new("rate-wrong.words_per_hour", value: "") unless @words_per_hour
      end
    end
  end
end
