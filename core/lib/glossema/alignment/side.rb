# One of two texts as alignment sees it: tokens, their weights, lengths and kinds of blocks.
module Glossema
  module Alignment
    class Side
      # Words that stand everywhere tell little.
      LEAST_WEIGHT = 0.05
      # Kinds of blocks that answer each other in two languages.
      KINDS = [[/\Aheading|\Atitle/, :heading], [/\Acell/, :cell], [/\A(?:list|item)/, :item],
               [/\A(?:caption|note|footnote)/, :note]].freeze

      attr_reader :tokens, :lengths, :kinds, :units, :frequencies, :totals, :size, :codes

      # pieces: [Piece …]
      def initialize(pieces)
        @size = pieces.size
        @tokens = pieces.map { |piece| Tokens.tokenize(piece.text) }
        @lengths = pieces.map { |piece| piece.text.scan(/[[:alnum:]]/).size.clamp(1, nil) }
        @kinds = pieces.map { |piece| kind(piece.block.to_s) }
        @units = pieces.map(&:unit)
        @codes = pieces.map { |piece| piece.codes.to_i }
        @frequencies = @tokens.flatten.tally
        @weights = weights
        @totals = @tokens.map { |own| own.sum { |token| @weights[token] } }
      end

      def weight(token) = @weights[token]

      # {token => indexes of the segments it stands in, in order}
      def places
        @places ||= @tokens.each_with_index.with_object({}) do |(own, index), all|
          own.each { |token| (all[token] ||= []) << index }
        end
      end

      private

      def kind(block) = KINDS.find { |pattern, _| block.match?(pattern) }&.last || :paragraph

      def weights
        all = Math.log(@size + 2)
        @frequencies.transform_values { |times|
          (Math.log((@size + 2).fdiv(times)) / all).clamp(LEAST_WEIGHT, 1.0)
        }
      end
    end
  end
end
