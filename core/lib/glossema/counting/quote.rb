# What a count costs. Weighted words = Σ words × weight of the band. Net = Σ units × rate × weight, rounded to
# the rounding step (a half goes up), and at least the minimum fee; the rush surcharge is a share of that, and
# rounded in the same way; total = net + rush. A unit is a word; an hour, which is so many weighted words; a
# page of so many characters; or the whole. All of it is decimal arithmetic, never floating point.
module Glossema
  module Counting
    class Quote
      # bands: {band => {"words", "characters"}} as Bands.sum answers them; rates: Rates.
      def initialize(bands, rates)
        @bands, @rates = bands, rates
      end

      def weighted_words = Bands::NAMES.sum { |band| weighted(band) }

      def net = [round(lines_sum), @rates.minimum].max
      def rush = round(net * @rates.rush)
      def total = net + rush

      # {"currency", "weighted_words", "lines" => [{"band", "words", "weight", "weighted", "price"}], "net",
      # "rush", "total"}; numbers but words are strings with a decimal point, prices of lines exact.
      def to_h
        {
          "currency" => @rates.currency.iso_code,
          "weighted_words" => decimal(weighted_words),
          "lines" => Bands::NAMES.map { |band| line(band) },
          "net" => @rates.money(net),
          "rush" => @rates.money(rush),
          "total" => @rates.money(total)
        }
      end

      private

      def line(band)
        {
          "band" => band,
          "words" => figure(band, "words"),
          "weight" => decimal(@rates.weights[band]),
          "weighted" => decimal(weighted(band)),
          "price" => decimal(price(band))
        }
      end

      def figure(band, name) = @bands.fetch(band, {}).fetch(name, 0)
      def weighted(band) = figure(band, "words") * @rates.weights[band]

      # Of a flat price the bands have no share.
      def price(band)
        case @rates.unit
        when "word" then weighted(band) * @rates.rate
        when "hour" then (weighted(band) * @rates.rate).div(@rates.words_per_hour, PLACES)
        when "page"
          share = figure(band, "characters") * @rates.weights[band] * @rates.rate
          share.div(@rates.page_characters, PLACES)
        else
          BigDecimal("0")
        end
      end

      # Quotients are taken so exactly.
      PLACES = 20

      def lines_sum = @rates.unit == "flat" ? @rates.rate : Bands::NAMES.sum { |band| price(band) }

      # To whole steps, a half going up.
      def round(amount) = (amount / @rates.rounding).round(0, half: :up) * @rates.rounding

      def decimal(number) = BigDecimal(number).to_s("F")
    end
  end
end
