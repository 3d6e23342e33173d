# How far translations were changed from what a machine gave: by the words that were changed, in percent.
module Glossema
  module Machine
    module PostEditing
      # segments: how many; words: of their sources; as_given: how many stand as the machine gave them;
      # changed: how far they were changed, in percent, each weighing as many as its words.
      Sum = Struct.new(:segments, :words, :as_given, :changed, keyword_init: true)

      module_function

      # given, now: contents. 0 for the same, 100 for another text altogether: what is left of a match score.
      def change(given, now) = 100 - Matching::Score.compare(given, now).score

      # rows: [[given, now, words of the source] …] → Sum
      def sum(rows)
        changes = rows.map { |given, now, words| [change(given, now), words] }
        weight = changes.sum(&:last)
        far = weight.zero? ? 0 : changes.sum { |change, words| change * words }.fdiv(weight)
        Sum.new(segments: rows.size, words: weight, as_given: changes.count { |change, _| change.zero? },
          changed: far.round(1))
      end
    end
  end
end
