# Cells of tables that leave as CSV: text that a spreadsheet would take for a formula gets an apostrophe in
# front, which is taken off again where a table comes in.
module Glossema
  module Exchange
    module Cells
      FORMULA = /\A[=+\-@\t\r]/
      NUMBER = /\A[+-]?\d[\d.,\u00A0\u202F ]*%?\z/

      module_function

      # cell: anything; only text is changed, and no number is.
      def harmless(cell) = cell.is_a?(String) && formula?(cell) ? "'#{cell}" : cell

      # Would a spreadsheet take a text for a formula?
      def formula?(text) = text.match?(FORMULA) && !text.match?(NUMBER)

      # As it was before harmless.
      def plain(cell) = cell.is_a?(String) && cell.match?(/\A'[=+\-@\t\r]/) ? cell[1..] : cell
    end
  end
end
