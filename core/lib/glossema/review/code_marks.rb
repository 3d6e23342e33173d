# Inline codes as a reviser sees them: ‹1›, ‹/1› and ‹2/›, in a style of their own. Read back they are codes
# where they stand in that style, or wherever a code of that number is known.
module Glossema
  module Review
    module CodeMarks
      MARK = %r{‹(/?)(\d{1,4})(/?)›}

      module_function

      # {1} → ‹1›
      def mark(code) = code.written.tr("{}", "‹›")

      # pieces: [[text, in the style of codes?], …]; codes: those that may be used → the written form. What
      # is in the style and is no mark was typed beside one, and is text.
      def written(pieces, codes)
        known = Content.code_table(codes)
        joined(pieces).map { |text, styled| piece(text, styled, known) }.join
      end

      def joined(pieces)
        pieces.chunk_while { |one, other| one[1] == other[1] }
          .map { |list| [list.map(&:first).join, list.first[1]] }
      end
      private_class_method :joined

      def piece(text, styled, known)
        out = +""
        rest = Offsets.parts(text, MARK) do |before, mark|
          open, id, alone = mark.match(MARK).captures
          kind = Content.kind_of(open.empty? && alone.empty?, open == "/")
          code = styled || known.key?([id.to_i, kind])
          out << Content.escape(before) << (code ? mark.tr("‹›", "{}") : Content.escape(mark))
        end
        out << Content.escape(rest)
      end
      private_class_method :piece
    end
  end
end
