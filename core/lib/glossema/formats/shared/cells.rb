# Which cells of a sheet are taken, by the options that sheets share:
#   "sheets"   names to take (all that are shown when empty); "hidden_sheets", "hidden_cells"
#   "ranges" and "leave" what to take and what to leave: "B", "A:C", "2:9", "A2:C40", each also of one sheet
#   ("Prices!B:B")
#   "columns", "source_column", "target_column", "context_column", "limit_column", "note_column" as in tables
#   of text
module Glossema
  module Formats
    class Cells
      DEFAULTS = {
        "sheets" => "",
        "hidden_sheets" => false,
        "hidden_cells" => false,
        "sheet_names" => true,
        "ranges" => "",
        "leave" => "",
        "columns" => "",
        "source_column" => "",
        "target_column" => "",
        "context_column" => "",
        "limit_column" => "",
        "note_column" => ""
      }.freeze
      AREA =
        /\A(?:(?<sheet>[^!]+)!)?\$?(?<c1>[A-Za-z]{0,3})\$?(?<r1>\d*)(?::\$?(?<c2>[A-Za-z]{0,3})\$?(?<r2>\d*))?\z/

      # "BC12" → [column from 0, row from 1].
      def self.split(reference)
        letters = reference[/\A[A-Z]+/].to_s
        @columns ||=
          Hash.new do |known, name|
            known[name] = name.each_char.reduce(0) { |sum, char| (sum * 26) + char.ord - 64 } - 1
          end
        [@columns[letters], reference[letters.length..].to_i]
      end

      def initialize(options, name)
        @options, @name = options, name
        @sheets = options["sheets"].to_s.split(",").map { |one| one.strip.downcase }.reject(&:empty?)
        @take, @leave =
          %w[ranges leave].map do |key|
            options[key].to_s.split(/[,;\n]/).map(&:strip).reject(&:empty?).map { |text| area(text) }
          end
      end

      def sheet?(name, hidden) =
        @sheets.any? ? @sheets.include?(name.downcase) : (!hidden || @options["hidden_sheets"])

      def hidden? = @options["hidden_cells"]

      # Says what a column is, once the headings (first row as texts) are known.
      def columns(headings) = Columns.chosen(@options, headings, @name)

      # Do the options name columns by these headings?
      def named?(headings) = Columns.named?(@options, headings)

      def bilingual? = !@options["target_column"].to_s.strip.empty?

      def take?(sheet, column, row, chosen)
        return false if chosen[:columns] && !chosen[:columns].include?(column)
        return false if [chosen[:context], chosen[:limit], chosen[:note]].include?(column)
        return false if @leave.any? { |one| inside?(one, sheet, column, row) }

        @take.empty? || @take.any? { |one| inside?(one, sheet, column, row) }
      end

      private

      def area(text)
        match = text.match(AREA)
        if match.nil? || (match[:c1].empty? && match[:r1].empty?)
          raise Refused.new("range-unknown", name: @name, text: text)
        end

        columns =
          [match[:c1], match[:c2] || match[:c1]].map do |letters|
            letters.empty? ? nil : self.class.split(letters.upcase).first
          end
        rows =
          [match[:r1], match[:c2] || match[:r2] ? match[:r2] : match[:r1]].map do |digits|
            digits.to_s.empty? ? nil : digits.to_i
          end
        [match[:sheet]&.delete("'")&.downcase, columns, rows]
      end

      def inside?((name, (c1, c2), (r1, r2)), sheet, column, row)
        (name.nil? || name == sheet.downcase) && (c1.nil? || column >= c1) && (c2.nil? || column <= c2) &&
          (r1.nil? || row >= r1) && (r2.nil? || row <= r2)
      end
    end
  end
end
