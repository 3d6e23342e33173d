# How much of a proposal has to be changed, in percent of its words, as far as can be told before: by this
# proposals of different kinds are ranked. Measured by bench/proposals.
module Glossema
  module Matching
    module Edits
      # Of a proposal put together from parts: so much where nothing of it is known, and so much less where
      # all is.
      UNKNOWN, KNOWN = 83, 42
      # Of a machine as long as nothing is known of its translations.
      MACHINE = 30
      # From so many segments on what was changed in them counts.
      ENOUGH = 50

      module_function

      # score: 0…100.
      def of_match(score) = 100 - score

      # known: how many of the words are translated.
      def of_assembled(known, words) = (UNKNOWN - (KNOWN * known.fdiv(words))).round

      # sum: Machine::PostEditing::Sum of earlier translations, or nil.
      def of_machine(sum) = sum && sum.segments >= ENOUGH ? sum.changed.round : MACHINE
    end
  end
end
