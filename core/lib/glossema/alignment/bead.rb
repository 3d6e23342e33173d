# What belongs together in two texts: a run of segments of the one and a run of the other, either may be
# empty.
module Glossema
  module Alignment
    # source, target: Ranges of indexes, of which one may be empty; probability: 0–1; confirmed: was it
    # fixed by whoever aligns?
    Bead = Struct.new(:source, :target, :probability, :confirmed, keyword_init: true) do
      # [2, 1] for two segments opposite to one.
      def type = [source.size, target.size]
      def one_sided? = source.none? || target.none?
    end

    # A segment as it is aligned. text: what is read; block: of Unit; unit: the id of the paragraph or cell it
    # stands in; codes: how many.
    Piece = Struct.new(:text, :block, :unit, :codes, keyword_init: true) do
      def self.from_segment(segment)
        new(text: segment.content.text, block: segment.unit.block, unit: segment.unit.id,
          codes: segment.content.code_count)
      end
    end
  end
end
