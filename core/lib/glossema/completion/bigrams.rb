# How likely a token follows another in general: counts of one and two in a row, smoothed by absolute
# discounting and backing off to the shorter one (Ney, Essen, Kneser, 1994).
module Glossema
  module Completion
    class Bigrams
      DISCOUNT = 0.75

      # ones, twos: as an CompletionContext has them.
      def initialize(ones, twos)
        @ones, @rows = ones, {}
        twos.each_with_index do |(sum, kinds, pairs), last|
          @rows[last] = [sum, kinds, Hash[*pairs]] if sum&.positive?
        end
      end

      # A function from number to how likely it follows the last one.
      def after(last)
        sum, kinds, times = @rows[last]
        return ->(number) { @ones[number] } unless sum

        lambda do |number|
          ([times.fetch(number, 0) - DISCOUNT, 0].max + (DISCOUNT * kinds * @ones[number])) / sum
        end
      end
    end
  end
end
