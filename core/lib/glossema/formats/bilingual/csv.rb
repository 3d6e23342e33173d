# CSV and TSV: cells with text, quoting and separators kept. Options: "separator"; "header" (is the first row
# a heading: "keep" leaves it, "translate" takes it); "columns" to take ("A, C" or names in the first row);
# "context_column", "limit_column", "note_column"; "source_column" and "target_column" for tables that hold
# both languages.
module Glossema
  module Formats
    class Csv < TextFile
      Formats.announce(self, rank: 70)

      NAME = "CSV".freeze
      EXTENSIONS = %w[csv].freeze
      MEDIA_TYPE = "text/csv".freeze
      SEPARATORS = ["", "comma", "semicolon", "tab", "bar"].freeze
      DEFAULTS = {
        "separator" => Choice.new("", SEPARATORS),
        "header" => Choice.new("translate", %w[translate keep]),
        "columns" => "",
        "context_column" => "",
        "limit_column" => "",
        "note_column" => "",
        "source_column" => "",
        "target_column" => "",
        "encoding" => ""
      }.freeze
      MAX_COLUMNS = 20_000
      Cell = Struct.new(:value, :from, :to, :quoted)
      # A row of a table of both languages that gives no unit: its number, why, and its text.
      Dropped = Struct.new(:row, :reason, :text)

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      def bilingual? = !@chosen[:target].nil?

      # [Dropped …]: reason is "no-source", "no-letters" or "no-target".
      def dropped = @dropped ||= []

      # The first rows as texts.
      def first_rows(count) = @rows.first(count).map { |row| row.map(&:value) }

      def preview
        rows = @rows.first(2000).each_with_index.map do |row, r|
          cells = row.each_with_index.map do |cell, c|
            unit = @by_cell[[r, c]]
            "<td>#{unit ? yield(unit) : Glossema::Html.escape(cell.value[0, 80])}</td>"
          end
          "<tr>#{cells.join}</tr>"
        end
        "<table>#{rows.join}</table>"
      end

      private

      def separator
        unless @options["separator"].to_s.empty?
          return (
            { "tab" => "\t", "comma" => ",", "semicolon" => ";", "bar" => "|" }.fetch(
              @options["separator"],
              @options["separator"]
            )
          )
        end

        sample = @text.lines.first(20).join.gsub(/"(?:[^"]|"")*"/m, "")
        [",", ";", "\t", "|"].max_by { |char| sample.count(char) }
      end

      def scan
        @separator = separator
        @rows = rows
        headings = @rows.first.to_a.map(&:value)
        @chosen = Columns.chosen(bilingual_by_heading(headings), headings, @name)
        @by_cell = {}
        heading = @options["header"] == "keep" || @chosen.values.any?
        @rows.each_with_index do |row, r|
          if r.zero? && heading &&
              (
                @options["header"] == "keep" || Columns.named?(@options, headings) ||
                  bilingual_by_heading(headings) != @options
              )
            next
          end

          if bilingual?
            take_pair(row, r)
          else
            row.each_with_index do |cell, c|
              take(row, r, c, cell) if @chosen[:columns].nil? || @chosen[:columns].include?(c)
            end
          end
        end
      end

      # Columns headed "source" and "target" say it themselves.
      def bilingual_by_heading(headings)
        unless @options
            .values_at("source_column", "target_column", "columns")
            .all? { |value| value.to_s.empty? }
          return @options
        end

        pair = %w[source target].map { |word| headings.find { |heading| heading.strip.casecmp?(word) } }
        pair.all? ? @options.merge("source_column" => pair[0], "target_column" => pair[1]) : @options
      end

      def rows
        scanner, list, row = StringScanner.new(@text), [], []
        between = /#{Regexp.escape(@separator)}/
        until scanner.eos?
          row << cell(scanner)
          raise Refused.new("hostile.columns", name: @name, most: MAX_COLUMNS) if row.size > MAX_COLUMNS

          if scanner.skip(between)
            row << Cell.new("", scanner.pos, scanner.pos, false) if scanner.eos?
            next
          end
          next unless scanner.skip(/\r\n|\n|\r/)

          list << row
          row = []
        end
        row.any? ? list << row : list
      end

      # Quotes are those of the table only where they stand around the whole of a cell; elsewhere they belong
      # to the text, as in tables that know no quoting.
      def cell(scanner)
        from = scanner.pos
        if scanner.skip(quoted)
          to = scanner.pos - 1
          scanner.skip(/ */)
          return Cell.new(slice(from + 1, to).gsub('""', '"'), from + 1, to, true)
        end

        damaged("cell-without-end", from) if quoting? && scanner.check(/"(?>(?:[^"]|"")*)\z/m)
        scanner.skip(plain)
        value = slice(from, scanner.pos)
        @unquoted ||= value.include?('"')
        Cell.new(value, from, scanner.pos, false)
      end

      def quoted = @quoted ||= /"(?>(?:[^"]|"")*)"(?= *(?:#{Regexp.escape(@separator)}|[\r\n]|\z))/m
      def plain = @plain ||= /[^#{Regexp.escape(@separator)}\r\n]*/
      def quoting? = true

      def facts(row)
        at = ->(name) { (index = @chosen[name]) && row[index]&.value }
        {
          key: at.call(:context).to_s.strip.then { |key| key.empty? ? nil : key },
          limit: at.call(:limit)&.[](/\d+/)&.to_i,
          note: at.call(:note)
        }
      end

      def take(row, number, column, cell)
        if [@chosen[:context], @chosen[:limit], @chosen[:note]].include?(column) || !Columns.text?(cell.value)
          return
        end

        content, raws = Placeholders.read(cell.value)
        @by_cell[[number, column]] = place(
          "#{Columns.letters(column)}#{number + 1}",
          cell.from,
          cell.to,
          content,
          block: "cell",
          location: Location.new("row", number: number + 1, column: Columns.letters(column)),
          **facts(row)
        ) { |target| encoded(Placeholders.write(target, raws, &:itself), cell) }
      end

      def take_pair(row, number)
        source, target = row[@chosen[:source]], row[@chosen[:target]]
        reason = reason_to_drop(source, target)
        dropped << Dropped.new(number + 1, reason, source&.value.to_s[0, 80]) if reason
        return unless source && source.value.match?(/\p{L}/)

        content, raws = Placeholders.read(source.value)
        given =
          target && !target.value.strip.empty? ? Placeholders.read_target(target.value, content, raws) : nil
        # A row too short for its target column is filled up.
        missing = target ? 0 : @chosen[:target] - row.size + 1
        from, to = target ? [target.from, target.to] : [end_of(row)] * 2
        @free << [from, to] if target
        @by_cell[[number, @chosen[:target]]] = place(
          "#{Columns.letters(@chosen[:target])}#{number + 1}",
          from,
          to,
          content,
          block: "cell",
          location: Location.new("row", number: number + 1),
          target: given,
          state: given && "translated",
          whole: true,
          **facts(row)
        ) do |done|
          (@separator * missing) +
            encoded(Placeholders.write(done, raws, &:itself), target || Cell.new("", 0, 0, false))
        end
      end

      def reason_to_drop(source, target)
        return "no-source" if source.nil? || source.value.strip.empty?
        return "no-letters" unless source.value.match?(/\p{L}/)

        "no-target" if target.nil? || target.value.strip.empty?
      end

      def encoded(text, cell)
        return text.gsub('"', '""') if cell.quoted
        # A table with quotes inside of texts knows no quoting.
        return text unless text.match?(/[\r\n]|#{Regexp.escape(@separator)}/) ||
          (text.include?('"') && !@unquoted)

        "\"#{text.gsub('"', '""')}\""
      end

      # Quotes come and go with what a cell holds.
      public def skeleton =
        super.delete('"').then { |text| bilingual? ? text.gsub(/#{Regexp.escape(@separator)}+$/, "") : text }

      # Where a row ends, behind the quotes of its last cell.
      def end_of(row) = row.last.to + (row.last.quoted ? 1 : 0)
    end
  end
end
