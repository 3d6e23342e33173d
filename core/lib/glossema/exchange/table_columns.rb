# Which columns of a table hold a source and its translation: guessed by headings, then by the language of
# their texts.
module Glossema
  module Exchange
    class TableColumns
      ROWS = 60
      SHOWN = 5
      WORDS = { source: %w[source original], target: %w[target translation translated] }.freeze

      # bytes, name: a table of text or a workbook; languages: [source tag, target tag].
      def initialize(bytes, name, languages)
        file = Formats.detect(bytes, name).read(bytes, name: name, options: {})
        unless file.respond_to?(:first_rows)
          raise Refused.new("no-table", name: name)
        end

        @rows = file.first_rows(ROWS).reject { |row| row.all? { |cell| cell.strip.empty? } }
        raise Refused.new("table-empty", name: name) if @rows.empty?

        @languages = languages
        @count = @rows.map(&:size).max
      end

      # {columns: [{value:, label:}] (what an import calls them, and how they are shown), source: and target:
      # values or nil, rows: [[text]]}
      def to_h
        source, target = pair
        {
          columns:
            (0...@count).map do |index|
              {
                value: value(index),
                label: [Formats::Columns.letters(index), headed? ? cell(0, index) : ""].reject(&:empty?).join(
                  " · "
                )
              }
            end,
          source: source && value(source),
          target: target && value(target),
          rows: body.first(SHOWN).map { |row| (0...@count).map { |index| row[index].to_s[0, 120] } }
        }
      end

      private

      def cell(row, column) = @rows[row][column].to_s.strip
      def body = headed? ? @rows.drop(1) : @rows

      # A heading names its column, so that the first row is not taken for a unit.
      def value(index) =
        if headed? && cell(0, index) != "" && headings.count(cell(0, index).downcase) == 1
          cell(0, index)
        else
          Formats::Columns.letters(index)
        end

      def headings = @headings ||= (0...@count).map { |index| cell(0, index).downcase }

      # Headings are short, and name a language or a side.
      def headed? = defined?(@headed) ? @headed : @headed = @rows.size > 1 && by_heading.any?

      def by_heading
        @by_heading ||=
          %i[source target]
            .zip(@languages)
            .map do |side, tag|
              names = [
                tag,
                tag.tr("-", "_"),
                Languages.primary(tag),
                *Forms::Dates.names_of_language(tag),
                *WORDS[side]
              ].map(&:downcase)
              headings.index { |heading| names.include?(heading) } ||
                headings.index do |heading|
                  heading.split(/[^\p{L}\p{M}_-]+/).any? { |word| names.include?(word) } &&
                    heading.length < 40
                end
            end
      end

      # [index of the source, of the target]
      def pair
        texts =
          (0...@count).select do |index|
            body.count { |row| row[index].to_s.match?(/\p{L}{2}/) } * 2 >= body.size
          end
        spoken =
          texts.to_h { |index| [index, Languages.guess(body.map { |row| row[index].to_s }.join(". "))] }
        found =
          by_heading
            .zip(@languages)
            .map { |index, tag| index || texts.find { |one| spoken[one] == Languages.primary(tag) } }
        found[1] = nil if found[0] == found[1]
        left = texts - found
        found.map { |index| index || left.shift }
      end
    end
  end
end
