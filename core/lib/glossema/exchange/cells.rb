# Cells of tables that leave as CSV: text that a spreadsheet would take for a formula gets an apostrophe in
# front, which is taken off again where a table comes in.
module Glossema
  module Exchange
    module Cells
      FORMULA = /\A[=+\-@\t\r]/
      NUMBER = /\A[+-]?\d[\d.,\u00A0\u202F ]*%?\z/

      module_function

      # cell: anything; only text is changed, and no number is.
      def harmless(cell)
        return cell unless cell.is_a?(String) && cell.match?(FORMULA) && !cell.match?(NUMBER)

        "'#{cell}"
      end

      # As it was before harmless.
      def plain(cell) = cell.is_a?(String) && cell.match?(/\A'[=+\-@\t\r]/) ? cell[1..] : cell
    end
  end
end
