# How fast a translator works, measured from confirmations, and how long a count takes.
module Glossema
  module Counting
    module Pace
      # A longer gap is a pause, not work.
      PAUSE = 15 * 60
      # A shorter one is not work on one segment, but many confirmed at once.
      AT_ONCE = 1
      # So many words of a band must have been seen before its pace is believed.
      ENOUGH = 300

      module_function

      # events: array of [seconds (Numeric, when it was confirmed), band, words] in order of time. The time
      # since the one before is what a segment took. Returns {band => words per hour} of bands seen enough.
      def measure(events)
        sums = Hash.new { |all, band| all[band] = [0, 0.0] }
        events.each_cons(2) do |(before, *), (at, band, words)|
          spent = at - before
          next unless spent.between?(AT_ONCE, PAUSE)

          sums[band][0] += words
          sums[band][1] += spent
        end
        seen = sums.select { |_, (words, _)| words >= ENOUGH }
        seen.transform_values { |words, seconds| (words * 3600 / seconds).round }
      end

      # How many hours a count takes: words of a band at its measured pace, the others by their weight at
      # words_per_hour. bands: {band => {"words"}}; weights: {band => number}. Returns hours (Float).
      def hours(bands, weights, words_per_hour, measured = {})
        Bands::NAMES.sum(0.0) do |band|
          words = bands.fetch(band, {}).fetch("words", 0)
          pace = measured[band]
          pace ? words / pace.to_f : words * weights.fetch(band, 1).to_f / words_per_hour
        end
      end
    end
  end
end
