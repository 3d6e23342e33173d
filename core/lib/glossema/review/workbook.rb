# A review sheet as XLSX: the same rows as Sheet's, with a column for remarks. What is not to be changed is
# locked; a hidden column carries by what each row is found again.
autoload :Axlsx, "caxlsx"

module Glossema
  module Review
    class Workbook
      COLUMNS = %w[number source target remarks notes].freeze
      WIDTHS = { "number" => 6, "source" => 56, "target" => 56, "remarks" => 28, "notes" => 28 }.freeze
      # Characters of an instruction in one line over all columns, and the height of a line in points.
      ACROSS, LINE = 150, 15
      CODE, QUIET, DARK = "FF5B3FBF", "FF52636B", "FF16242B"
      FONT = { font_name: "Arial", sz: 11 }.freeze
      # As spreadsheets name their sheets.
      NAME_LENGTH, NAMELESS = 31, %r{[\[\]*/\\?:]}
      # A text that looks as characters are escaped in such files.
      ESCAPED = /_(?=x\h{4}_)/

      # As Sheet.new; changes cannot be recorded in a workbook.
      def initialize(id:, title:, languages:, rows:, instructions: Instructions::PARTS, reader: nil,
        notes: true, terms: true)
        @id, @title, @languages, @rows = id, title, languages, rows
        @instructions, @reader = instructions - %w[tracking], reader || languages[1]
        @columns = notes ? COLUMNS : COLUMNS - %w[notes]
        @terms = terms
      end

      def bytes
        package = Axlsx::Package.new
        package.core.creator = ""
        package.workbook.add_worksheet(name: sheet_name) { |sheet| fill(sheet) }
        package.to_stream.read
      end

      private

      def sheet_name
        name = @title.gsub(NAMELESS, " ").strip[0, NAME_LENGTH]
        name.empty? ? "1" : name
      end

      def fill(sheet)
        @sheet = sheet
        @styles = styles
        on_top
        heading
        file = nil
        @rows.each do |row|
          file_row(file = row.file) if row.file && row.file != file
          add(row)
        end
        sheet.column_widths(*@columns.map { |name| WIDTHS.fetch(name) }, nil)
        sheet.column_info.last.hidden = true
        lock
        print_setup
      end

      def styles
        made = ->(**more) { @sheet.styles.add_style(alignment: { wrap_text: true, vertical: :top }, **more) }
        border = { style: :thin, color: "FF9AA7AE" }
        { title: @sheet.styles.add_style(b: true, sz: 14), text: made[],
          heading: made[b: true, border: border], file: @sheet.styles.add_style(b: true),
          locked: made[border: border, fg_color: QUIET],
          open: made[border: border, fg_color: DARK, locked: false] }
      end

      def on_top
        @sheet.add_row([@title], style: @styles[:title], escape_formulas: true)
        Instructions.fetch(@reader, @instructions).each do |text|
          row = @sheet.add_row([text], style: @styles[:text], height: LINE * (1 + (text.size / ACROSS)))
          @sheet.merge_cells(row.cells[0].r.sub(/\d+/) { |number| "#{number}:#{last_column}#{number}" })
        end
      end

      def last_column = Axlsx.col_ref(@columns.size - 1)

      def heading
        headings = Instructions.headings(@reader)
        texts = @columns.map { |name| headings.fetch(name) }
        @heading = @sheet.add_row([*texts, "#gl-sheet:#{@id}"], style: @styles[:heading])
      end

      def file_row(name)
        @sheet.add_row([escaped(name)], style: @styles[:file], types: :string, escape_formulas: true)
      end

      def add(row)
        cells = @columns.map { |name| cell(name, row) }
        line = @sheet.add_row([*cells, row.token], style: [*@columns.map { |name| style(name) }, nil],
          types: Array.new(cells.size + 1, :string), escape_formulas: true)
        coded(line, "source", row.source, QUIET)
        coded(line, "target", row.target, DARK)
        about(row, line) if @terms && row.terms.to_a.any?
      end

      def cell(name, row)
        case name
        when "number" then row.number.to_s
        when "source" then shown(row.source)
        when "target" then shown(row.target)
        when "notes" then escaped(row.notes.to_a.join("\n"))
        end
      end

      def style(name) = @styles[%w[target remarks].include?(name) ? :open : :locked]

      def shown(content)
        escaped(content.items.map { |item| item.is_a?(String) ? item : CodeMarks.mark(item) }.join)
      end

      def escaped(text) = text.gsub(ESCAPED, "_x005F_")

      # Codes in a colour of their own.
      def coded(line, name, content, colour)
        return if content.codes.empty?

        text = Axlsx::RichText.new
        content.items.each do |item|
          if item.is_a?(String) then text.add_run(escaped(item), color: colour, **FONT)
          else text.add_run(CodeMarks.mark(item), color: CODE, **FONT)
          end
        end
        cell = line.cells[@columns.index(name)]
        cell.type = :richtext
        cell.value = text
      end

      def about(row, line)
        text = row.terms.map { |term, translations| "#{term}: #{translations.join(", ")}" }.join("\n")
        @sheet.add_comment(ref: line.cells[@columns.index("source")].r, author: Sheet::TERMS, text: text,
          visible: false)
      end

      def lock
        @sheet.sheet_protection do |protection|
          protection.format_columns = false
          protection.format_rows = false
        end
      end

      def print_setup
        @sheet.page_setup.set(orientation: :landscape, fit_to_width: 1, fit_to_height: 0, paper_size: 9)
        @sheet.header_footer.odd_footer = "&C&P / &N"
        number = @heading.row_index + 1
        @sheet.workbook.add_defined_name("'#{@sheet.name.gsub("'", "''")}'!$#{number}:$#{number}",
          local_sheet_id: 0, name: "_xlnm.Print_Titles")
        @sheet.sheet_view.right_to_left = @languages.all? { |lang| Languages.right_to_left?(lang) }
      end
    end
  end
end
