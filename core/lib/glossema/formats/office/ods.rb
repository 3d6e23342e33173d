# ODS (also OTS): texts of cells by sheet and row, sheet names that no formula names, headers and footers,
# charts, shapes and their alternative texts; comments by option. Formulas, numbers and dates stay.
require "glossema/formats/office/odf"

module Glossema
  module Formats
    class Ods < Odf
      Formats.announce(self, rank: 11)

      NAME = "ODS".freeze
      EXTENSIONS = %w[ods ots].freeze
      MEDIA_TYPE = "application/vnd.oasis.opendocument.spreadsheet".freeze
      BODY = "spreadsheet".freeze
      DEFAULTS =
        Cells::DEFAULTS
          .reject { |name, _| %w[source_column target_column].include?(name) }
          .merge("comments" => false, "headers" => true, "alt_texts" => true, "title" => true)
          .freeze
      MAX_COLUMNS = 16_384

      def page(&block)
        @places
          .select(&:paragraph)
          .group_by { |place| sheet_of(place.unit.location) }
          .map do |sheet, places|
            rows =
              places
                .first(4000)
                .group_by { |place| place.unit.location["cell"].to_s[/\d+\z/] }
                .map do |row, cells|
                  "<tr><th>#{row if sheet}</th>" \
"#{cells.group_by { |place| place.unit.location }.values.map { |group|
  "<td>#{group.map { |place|
    block.call(place.unit)
  }.join("<br>")}</td>"
}.join}</tr>"
                end
            "<h2>#{Glossema::Html.escape(sheet.to_s)}</h2><table class=\"grid\">#{rows.join}</table>"
          end
          .join
      end

      def sheet_of(location) = (location["sheet"] if location["kind"] == "sheet-cell")

      def frame(path)
        xml = Nokogiri.XML(super)
        xml
          .xpath("//*[local-name()='spreadsheet']/*[local-name()='table']")
          .each { |table| table.attribute_nodes.find { |attribute| attribute.node_name == "name" }&.unlink }
        xml.canonicalize
      end

      private

      def read
        @cells = Cells.new(Cells::DEFAULTS.merge(@options), @name)
        @formulas = formulas
        body
          .element_children
          .select { |node| node.name == "table" }
          .each_with_index { |table, index| read_table(table, index + 1) }
        read_margins if @options["headers"]
      end

      # Everything that refers to cells by the names of sheets.
      def formulas
        parse("content.xml")
          .xpath(
            "//@*[local-name()='formula' or local-name()='cell-range-address' or " \
              "local-name()='base-cell-address' or local-name()='target-range-address' or " \
              "local-name()='condition']"
          )
          .map(&:value)
          .join("\n") +
          container
            .entries
            .grep(%r{/content\.xml\z})
            .map { |path| container.read(path).to_s.b.scan(/cell-range-address="[^"]*"/n).join }
            .join
            .force_encoding("UTF-8")
            .scrub
      end

      def read_table(table, number)
        name = Odf.value(table, "name").to_s
        return unless @cells.sheet?(name, hidden_table?(table))

        take_name(table, name, number)
        @sheet, @row = number, 0
        @chosen = nil
        @hidden = @cells.hidden? ? [] : hidden_columns(table)
        read_rows(table, name)
        table
          .xpath("./*[local-name()='shapes']")
          .each do |shapes|
            walk(shapes, "content.xml",
              { where: "body", location: Location.new("sheet-shape", sheet: name), block: "text-box" })
          end
      end

      def hidden_table?(table)
        style =
          parse("content.xml").at_xpath(
            "//*[local-name()='style'][@*[local-name()='name']='#{Odf.value(table,
              "style-name")}'][@*[local-name()='family']='table']/*[local-name()='table-properties']"
          )
        style && Odf.value(style, "display") == "false"
      end

      def take_name(table, name, number)
        unless @options["sheet_names"] && name.match?(/\p{L}/) &&
            !@formulas.match?(/(?:\$?'?#{Regexp.escape(name)}'?)\./i)
          return
        end

        @places << Place.new(
          unit:
            Unit.new(
              id: "sheet#{number}",
              location: Location.new("sheet-name"),
              block: "property",
              content: Content.text(name)
            ),
          attribute: table.attribute_nodes.find { |attribute| attribute.node_name == "name" },
          part: "content.xml"
        )
      end

      def hidden_columns(table)
        at, hidden = 0, []
        table
          .xpath(".//*[local-name()='table-column']")
          .each do |column|
            count = repeated(column, "number-columns-repeated")
            hidden << (at...(at + count)) if %w[collapse filter].include?(Odf.value(column, "visibility"))
            at += count
          end
        hidden
      end

      def repeated(node, name) = [Odf.value(node, name).to_i, 1].max

      def read_rows(node, sheet)
        node.element_children.each do |child|
          case child.name
          when "table-header-rows", "table-row-group", "table-rows"
            read_rows(child, sheet)
          when "table-row"
            @row += 1
            hidden = %w[collapse filter].include?(Odf.value(child, "visibility"))
            read_row(child, sheet) unless hidden && !@cells.hidden?
            @row += repeated(child, "number-rows-repeated") - 1
          end
        end
      end

      def read_row(row, sheet)
        cells, column = [], 0
        row.element_children.each do |cell|
          cells << [column, cell] if cell.name == "table-cell" && cell.element_children.any?
          column += repeated(cell, "number-columns-repeated")
        end
        if @chosen.nil?
          headings =
            cells
              .each_with_object([]) { |(at, cell), list| list[at] = cell.text.strip if at < MAX_COLUMNS }
              .map(&:to_s)
          @chosen = @cells.columns(headings)
          return if @cells.named?(headings)
        end
        texts = cells.to_h
        at = ->(name) { @chosen[name] && texts[@chosen[name]]&.text&.strip }
        facts = {
          key: at.call(:context),
          limit: at.call(:limit)&.[](/\d+/)&.to_i,
          note: at.call(:note)
        }.compact
        cells.each { |index, cell| read_cell(cell, index, sheet, facts) }
      end

      def read_cell(cell, column, sheet, facts)
        place = { sheet: sheet, cell: "#{Columns.letters(column)}#{@row}" }
        lines, others = cell.element_children.partition { |child| child.name == "p" }
        others.each do |child|
          if child.name == "annotation"
            (@options["comments"] && comment(child, place))
          else
            walk_shape(child, place)
          end
        end
        if Odf.value(cell, "formula") || ![nil, "string"].include?(Odf.value(cell, "value-type")) ||
            @hidden.any? { |range| range.cover?(column) }
          return
        end
        unless @cells.take?(sheet, column, @row, @chosen) && Columns.text?(lines.map(&:text).join("\n"))
          return
        end

        lines.each_with_index do |line, index|
          paragraph(line, "content.xml",
            { where: "body", location: Location.new("sheet-cell", **place), block: "cell" })
          @places
            .reverse_each
            .find { |one| one.paragraph && one.paragraph.node == line }
            .unit
            .tap do |unit|
              unit.id = "s#{@sheet}!#{Columns.letters(column)}#{@row}#{".#{index + 1}" if index.positive?}"
              facts.each { |name, value| unit[name] = value }
            end
        end
      end

      def walk_shape(node, place)
        return if %w[forms detective].include?(node.name)

        walk(node, "content.xml",
          { where: "body", location: Location.new("cell-shape", **place), block: "text-box" })
      end

      def comment(node, place)
        node
          .xpath("./*[local-name()='p']")
          .each do |line|
            paragraph(line, "content.xml",
              { where: "body", location: Location.new("cell-comment", **place), block: "note" })
          end
      end
    end
  end
end
