# CSV and TSV: cells with text, quoting and separators kept. Options: "separator"; "header" (is the first row
# a heading: "keep" leaves it, "translate" takes it); "columns" to take ("A, C" or names in the first row);
# "context_column", "limit_column", "note_column"; "source_column" and "target_column" for tables that hold
# both languages.
module Glossema
  module Formats
    # Columns of a table by letter, number or heading, shared with sheets.
    module Columns
      module_function

      # "C", "3" or a heading → index from 0; nil when there is none.
      def index(label, headings)
        label = label.to_s.strip
        return nil if label.empty?

        by_name = headings.index { |heading| heading.to_s.strip.casecmp?(label) }
        return by_name if by_name
        return label.to_i - 1 if label.match?(/\A[1-9]\d{0,4}\z/)

        if label.match?(/\A[A-Za-z]{1,3}\z/)
          label.upcase.each_char.reduce(0) { |sum, char| (sum * 26) + char.ord - 64 } - 1
        else
          nil
        end
      end

      def letters(index)
        out = +""
        index += 1
        while index.positive?
          index, rest = (index - 1).divmod(26)
          out.prepend((65 + rest).chr)
        end
        out
      end

      # Which columns a table's options name: {columns: indexes or nil, source:, target:, context:, limit:,
      # note:}.
      def chosen(options, headings, name)
        find =
          lambda do |label|
            next nil if label.to_s.strip.empty?

            index(label, headings) ||
              raise(Refused.new("column-unknown", "#{name} has no column “#{label}”."))
          end
        columns =
          options["columns"]
            .to_s
            .split(",")
            .map(&:strip)
            .reject(&:empty?)
            .flat_map do |label|
              if label.match?(/\A[A-Za-z]{1,3}\s*[-:]\s*[A-Za-z]{1,3}\z/)
                Range.new(*label.split(/[-:]/).map { |one| index(one.strip, []) }).to_a
              else
                [find.call(label)]
              end
            end
        found = {
          columns: columns.empty? ? nil : columns,
          source: find.call(options["source_column"]),
          target: find.call(options["target_column"]),
          context: find.call(options["context_column"]),
          limit: find.call(options["limit_column"]),
          note: find.call(options["note_column"])
        }
        if found[:target] && found[:source].nil? && columns.size != 1
          raise Refused.new("column-missing", "#{name}: name the source column as well as the target column.")
        end

        found[:source] ||= columns.first if found[:target]
        found
      end

      # Do the options name columns by these headings?
      def named?(options, headings)
        labels =
          options.values_at(
            "source_column",
            "target_column",
            "context_column",
            "limit_column",
            "note_column"
          ) + options["columns"].to_s.split(",")
        labels
          .map { |label| label.to_s.strip }
          .reject(&:empty?)
          .any? { |label| headings.any? { |heading| heading.strip.casecmp?(label) } }
      end

      # Is there something to translate in a cell? Numbers, dates, times, money, addresses and codes stay.
      def text?(value)
        value.match?(/\p{L}/) && !value.match?(NO_TEXT)
      end

      CURRENCY = /(?:EUR|USD|GBP|CHF|JPY|CAD|AUD|SEK|DKK|NOK|PLN)/
      AMOUNT = %r{(?:#{CURRENCY}?\s*[€$£¥]?\s*[-+]?[\d.,:/'\s-]+\s*(?:%|[€$£¥]|#{CURRENCY}|[AaPp][Mm])?)}
      ADDRESS = %r{https?://\S+|[\w.+-]+@[\w-]+(?:\.[\w-]+)+}
      NO_TEXT =
        /\A\s*(?:#{AMOUNT}|\d{4}-\d\d-\d\dT[\d:.]+Z?(?:[+-]\d\d:?\d\d)?|#{ADDRESS}|TRUE|FALSE|true|false)\s*\z/
    end

    class Csv < TextFile
      NAME = "CSV".freeze
      EXTENSIONS = %w[csv].freeze
      MEDIA_TYPE = "text/csv".freeze
      DEFAULTS = {
        "separator" => "",
        "header" => "translate",
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

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      def bilingual? = !@chosen[:target].nil?

      # The first rows as texts.
      def first_rows(count) = @rows.first(count).map { |row| row.map(&:value) }

      def preview
        @rows
          .first(2000)
          .each_with_index
          .map do |row, r|
            "<tr>" \
"#{row.each_with_index.map { |_, c|
  (unit = @by_cell[[r,
                    c]]) ? "<td>#{yield unit}</td>" : "<td>#{Glossema::Html.escape(row[c].value[0, 80])}</td>"
}.join}</tr>"
          end
          .then { |rows| "<table>#{rows.join}</table>" }
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
        plain = /[^#{Regexp.escape(@separator)}\r\n]*/
        until scanner.eos?
          from = scanner.pos
          if scanner.skip(/"/)
            scanner.skip(/(?:[^"]|"")*/m)
            to = scanner.pos
            damaged("a quoted cell does not end", from) unless scanner.skip(/"/)
            row << Cell.new(slice(from + 1, to).gsub('""', '"'), from + 1, to, true)
            scanner.skip(plain)
          else
            scanner.skip(plain)
            row << Cell.new(slice(from, scanner.pos), from, scanner.pos, false)
          end
          if row.size > MAX_COLUMNS
            raise Refused.new("hostile", "#{@name} has more than #{MAX_COLUMNS} columns, and was not opened.")
          end

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
          path: "row #{number + 1} · column #{Columns.letters(column)}",
          **facts(row)
        ) { |target| encoded(Placeholders.write(target, raws, &:itself), cell) }
      end

      def take_pair(row, number)
        source, target = row[@chosen[:source]], row[@chosen[:target]]
        return unless source && source.value.match?(/\p{L}/)

        content, raws = Placeholders.read(source.value)
        given =
          target && !target.value.strip.empty? ? Placeholders.read_target(target.value, content, raws) : nil
        # A row too short for its target column is filled up.
        missing = target ? 0 : @chosen[:target] - row.size + 1
        from, to = target ? [target.from, target.to] : [row.last.to + (row.last.quoted ? 1 : 0)] * 2
        @free << [from, to] if target
        @by_cell[[number, @chosen[:target]]] = place(
          "#{Columns.letters(@chosen[:target])}#{number + 1}",
          from,
          to,
          content,
          block: "cell",
          path: "row #{number + 1}",
          target: given,
          state: given && "translated",
          whole: true,
          **facts(row)
        ) do |done|
          (@separator * missing) +
            encoded(Placeholders.write(done, raws, &:itself), target || Cell.new("", 0, 0, false))
        end
      end

      def encoded(text, cell)
        return text.gsub('"', '""') if cell.quoted
        return text unless text.match?(/["\r\n]|#{Regexp.escape(@separator)}/)

        "\"#{text.gsub('"', '""')}\""
      end

      # Quotes come and go with what a cell holds.
      public def skeleton =
        super.delete('"').then { |text| bilingual? ? text.gsub(/#{Regexp.escape(@separator)}+$/, "") : text }
    end

    class Tsv < Csv
      NAME = "TSV".freeze
      EXTENSIONS = %w[tsv tab].freeze
      MEDIA_TYPE = "text/tab-separated-values".freeze
      DEFAULTS = Csv::DEFAULTS.merge("separator" => "tab").freeze
    end
  end
end
