# How many letters make two texts differ.
require "damerau-levenshtein"

module Glossema
  module Letters
    # Longer texts are compared piece by piece: the time grows with their length only, and the distance is
    # never less than the true one.
    LONGEST = 1_000

    module_function

    # Levenshtein: characters put in, taken out or replaced.
    def distance(one, other)
      count = [1, ([one.length, other.length].max / LONGEST.to_f).ceil].max
      pieces(one, count).zip(pieces(other, count)).sum do |left, right|
        left == right ? 0 : DamerauLevenshtein.distance(left, right, 0, LONGEST)
      end
    end

    # Text → so many parts of about the same length.
    def pieces(text, count)
      return [text] if count == 1

      letters = text.chars
      Array.new(count) { |i| letters[(letters.size * i / count)...(letters.size * (i + 1) / count)].join }
    end
    private_class_method :pieces
  end
end
