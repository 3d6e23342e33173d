# How often beads of each type are found: as usual, or as a first pass found them.
module Glossema
  module Alignment
    class Shares
      # So many beads weigh as much as what is usual.
      USUAL = 60

      # types: [[sources, targets, log of how often], …]; open, extend: of runs of segments without anything
      # opposite.
      attr_reader :types, :open, :extend

      # steps: [[a, b], …] of a first pass.
      def initialize(steps = [])
        counts = steps.tally
        gaps = steps.count { |a, b| a.zero? || b.zero? }
        total = steps.size + USUAL
        @types = Costs::TYPES.map do |(a, b), share|
          [a, b, Math.log((counts.fetch([a, b], 0) + (share * USUAL)) / total)]
        end
        @open = Math.log((gaps + (Costs::GAP * 2 * USUAL)) / total / 2)
        @extend = Math.log(Costs::GOES_ON)
      end
    end
  end
end
