# How often beads of each type are found: as usual, or as a first pass found them.
module Glossema
  module Alignment
    class Shares
      # So many beads weigh as much as what is usual.
      USUAL = 60
      # A first pass looks for those only that are found most.
      FEW = 3

      # types: [[sources, targets, log of how often], …]; open, extend: of runs of segments without anything
      # opposite.
      attr_reader :types, :open, :extend

      # steps: [[a, b], …] of a first pass, or none.
      def initialize(steps = [])
        counts, total = steps.tally, steps.size + USUAL
        gaps = steps.count { |a, b| a.zero? || b.zero? }
        looked_for = steps.empty? ? Costs::TYPES.first(FEW) : Costs::TYPES
        @types = looked_for.each_with_index.map do |((a, b), share), index|
          found = (counts.fetch([a, b], 0) + (share * USUAL)) / total
          [a, b, Math.log(index < FEW ? found : share)]
        end
        @open = Math.log((gaps + (Costs::GAP * 2 * USUAL)) / total / 2)
        @extend = Math.log(Costs::GOES_ON)
      end
    end
  end
end
