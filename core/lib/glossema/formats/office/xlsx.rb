# XLSX (also XLSM, XLTX): texts of cells, plain and rich, by sheet and row; sheet names that no formula names;
# headings of tables; input messages; printed headers and footers; charts, shapes and their alternative texts;
# comments by option. Formulas, numbers and dates stay. Cells that share one string may be translated
# differently.
require "glossema/formats/office/ooxml"
require "glossema/formats/office/xlsx/controls"

module Glossema
  module Formats
    class Xlsx < Ooxml
      include SheetControls
      Formats.announce(self, rank: 10)

      NAME = "XLSX".freeze
      EXTENSIONS = %w[xlsx xlsm xltx xltm].freeze
      MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet".freeze
      FAMILY = "spreadsheetml".freeze
      DEFAULTS =
        Cells::DEFAULTS.merge(
          "comments" => false,
          "alt_texts" => true,
          "title" => true,
          "print_headers" => true
        ).freeze
      MESSAGES = %w[promptTitle prompt errorTitle error].freeze
      # Where a sheet names other sheets.
      FORMULA = %r{
        <(?:\w+:)?(?:f|formula\d?|worksheetSource|calculatedColumnFormula)\b[^>]*>[^<]*|
        \blocation="[^"]*"|worksheetSource[^>]*
      }xn
      # A formula of a cell that names a text.
      NAMING = %r{<(?:\w+:)?f\b[^>]*>([^<]*"[^<]*)<}n
      # Codes of printed headers and footers: fonts, sizes, page numbers, dates, sections.
      PRINT_CODES = /&(?:"[^"]*"|\d+|K[\h+\-]+|[A-Z&])/
      NAMELESS = %r{[\[\]:*?/\\]}
      MAX_NAME = 31

      # A cell that holds the text of a unit. index: of the shared string, or nil for one of its own; source:
      # the text a translation beside it belongs to.
      Cell = Struct.new(:unit, :reference, :part, :index, :source, keyword_init: true)
      Sheet = Struct.new(:name, :path, :number, :node, keyword_init: true)

      def bilingual? = @cells.bilingual?

      # The first rows of the first sheet that is shown, as texts.
      def first_rows(count)
        sheet = @sheets.find { |one| !one.node["state"].to_s.match?(/hidden/i) } or return []
        rows = []
        SheetData.rows(container.read(sheet.path)) do |row|
          rows.size < count ? rows << row_texts(row) : break
        end
        rows
      end

      def page(&block)
        by_sheet = @taken.group_by(&:part)
        @sheets
          .filter_map do |sheet|
            cells = by_sheet[sheet.path] or next
            rows =
              cells
                .first(4000)
                .group_by { |cell| Cells.split(cell.reference).last }
                .sort
                .map do |row, inner|
                  "<tr><th>#{row}</th>#{inner.map { |cell| "<td>#{block.call(cell.unit)}</td>" }.join}</tr>"
                end
            "<h2>#{Glossema::Html.escape(sheet.name)}</h2><table class=\"grid\">#{rows.join}</table>"
          end
          .join +
          @places
            .select { |place| %w[chart text-box].include?(place.unit.block) }
            .map { |place| "<p>#{block.call(place.unit)}</p>" }
            .join
      end

      # Around the texts: cells that are no units count with what they show.
      def frame(path)
        return repeating_frame(path) if repeating_part?(path)
        return super unless textual_part?(path)
        return "strings" if path == @strings_path

        sheet = @sheets.find { |one| one.path == path }
        rows, rest = sheet ? SheetData.parts(container.read(path)) : [nil, container.read(path)]
        xml = Nokogiri.XML(rest)
        if sheet
          frame_sheet(xml)
        else
          if path == @main
            xml.root.xpath("//*[local-name()='sheet']").each { |node| node.remove_attribute("name") }
          end
          xml.root.xpath("//*[local-name()='tableColumn']").each { |node| node.remove_attribute("name") }
          xml.root.xpath("//*[local-name()='text']").each { |node| node.children.each(&:unlink) }
        end
        [xml.canonicalize, rows && frame_rows(rows, sheet)]
      end

      def untouched(other)
        names = container.entries
        # A string table comes along when there was none.
        return ["the list of parts"] if names != other.container.entries

        names.reject do |name|
          container.read(name) == other.container.read(name) ||
            (textual?(name) && frame(name) == other.frame(name))
        end
      end

      def apply(contents, target_language)
        everything, @places = @places, @places.reject { |place| place.part == @main }
        parts = super
        @places = everything
        @sheets.each do |sheet|
          parts[sheet.path] &&= SheetData.restored(parts[sheet.path], container.read(sheet.path))
        end
        puts = put_cells(contents)
        changed = put_headings(contents) + put_names(contents)
        changed << @strings_path if @strings_changed
        texts = cell_texts(contents)
        changed.concat(renew_charts(texts), renew_pivots(texts))
        root = @strings_changed && parse(@strings_path).root
        root["uniqueCount"] = (@strings.size + @added.to_i).to_s if root && root["uniqueCount"]
        parts = parts.merge(serialized(changed))
        puts.each { |part, cells| parts[part] = SheetData.put(parts[part] || container.read(part), cells) }
        turn = turn_for(target_language)
        @sheets.each { |sheet|
          parts[sheet.path] = turned(parts[sheet.path] || container.read(sheet.path), turn)
        } if turn
        parts
      end

      private

      # Charts show what stands in the cells: they are no units of their own.
      def read_cached(path, xml) = (@charts ||= {})[path] = xml

      # What texts of cells read now, by what they read before.
      def cell_texts(contents)
        @taken.to_h { |cell| [cell.unit.content.text, contents[cell.unit.id]&.text] }.compact
      end

      # Charts show the cells as they read now; answers the paths of those that changed.
      def renew_charts(texts)
        @charts.to_h.select { |_, xml|
          nodes = xml.root.xpath(CACHED).select { |node| texts[node.text] }
          nodes.each { |node| node.content = texts[node.text] }.any?
        }.keys
      end

      VIEW = %r{<((?:\w+:)?)sheetView\b}
      BEFORE_VIEWS = %r{<((?:\w+:)?)(?=(?:sheetFormatPr|cols|sheetData)\b)}

      # A sheet that runs from right to left, or from left to right.
      def turned(bytes, turn)
        text = SheetData.utf8(bytes).gsub(/\s+rightToLeft="\w+"/, "")
        if turn == :rtl
          view = ' rightToLeft="1"'
          text = text.sub(VIEW) { "#{Regexp.last_match(0)}#{view}" }
          unless text.match?(VIEW)
            text = text.sub(BEFORE_VIEWS) do
              prefix = Regexp.last_match(1)
              inner = "<#{prefix}sheetView#{view} workbookViewId=\"0\"/>"
              "<#{prefix}sheetViews>#{inner}</#{prefix}sheetViews><#{prefix}"
            end
          end
        end
        text.b
      end

      def textual?(path)
        textual_part?(path) || repeating_part?(path) || @charts.to_h.key?(path) || @places.any? { |place|
          place.part == path
        }
      end

      def textual_part?(path) =
        @sheets.any? { |sheet| sheet.path == path } || path == @strings_path || path == @main ||
          @tables.key?(path) || @comment_parts.include?(path)

      def read
        @cells = Cells.new(@options, @name)
        @taken, @comment_parts, @tables = [], [], {}
        @strings_path = related(@main, "sharedStrings").first
        @strings =
          @strings_path ? parse(@strings_path).root.element_children.select { |node| node.name == "si" } : []
        @rich = {}
        @sheets = sheets
        @formulas = formulas
        @literals = literals
        taken = @sheets.select { |sheet|
          @cells.sheet?(sheet.name, sheet.node["state"].to_s.match?(/hidden/i))
        }
        taken.each { |sheet| read_sheet(sheet) }
        taken.each { |sheet| read_pivots(sheet) } unless bilingual?
        read_names if @options["sheet_names"] && !bilingual?
      end

      def sheets
        targets = @relations.to_h { |relation| [relation[:id], relation] }
        parse(@main)
          .root
          .xpath("//*[local-name()='sheets']/*[local-name()='sheet']")
          .each_with_index
          .filter_map do |node, index|
            relation =
              targets[
                node
                  .attribute_nodes
                  .find { |attribute| attribute.node_name == "id" && attribute.namespace }
                  &.value
              ]
            if relation && container.entry?(relation[:target])
              Sheet.new(name: node["name"].to_s, path: relation[:target], number: index + 1, node: node)
            end
          end
      end

      # Everything that refers to cells by name, in one text.
      def formulas
        parts =
          @sheets.map(&:path) +
          container.entries.grep(
            %r{\Axl/(?:charts/chart|pivotCache/pivotCacheDefinition|tables/)[^/]*\.xml\z}
          )
        text =
          parts.flat_map do |path|
            container
              .read(path)
              .to_s
              .b
              .scan(
                FORMULA
              )
          end
        text.concat(parse(@main).root.xpath("//*[local-name()='definedName']").map { |node| node.text.b })
        text.join("\n").force_encoding("UTF-8").scrub
      end

      # Texts that formulas of cells name.
      def literals
        @sheets.each_with_object(Set.new) do |sheet, set|
          container.read(sheet.path).b.scan(NAMING) do |(formula)|
            text = Markup.decode(formula.force_encoding("UTF-8").scrub)
            text.scan(/"((?:[^"]|"")+)"/) { |(literal)| set << literal.gsub('""', '"') }
          end
        end
      end

      def read_sheet(sheet)
        root = parse(sheet.path).root
        hidden = @cells.hidden? ? [] : hidden_columns(root)
        fixed = read_tables(sheet)
        chosen = nil
        SheetData.rows(container.read(sheet.path)) do |row|
          headings = chosen ? nil : row_texts(row)
          chosen ||= @cells.columns(headings)
          # A first row whose headings the options go by is no text to translate.
          next if headings && @cells.named?(headings)

          read_row(row, sheet, hidden, chosen, fixed) unless !@cells.hidden? && row.hidden
        end
        return if bilingual?

        read_messages(root, sheet)
        read_typed_lists(root, sheet)
        read_print(root, sheet) if @options["print_headers"]
        read_drawings(sheet)
        read_form_controls(sheet)
        read_comments(sheet) if @options["comments"]
      end

      def hidden_columns(root)
        root
          .xpath("./*[local-name()='cols']/*[local-name()='col']")
          .select { |node| %w[1 true].include?(node["hidden"]) }
          .map { |node| (node["min"].to_i - 1)..(node["max"].to_i - 1) }
      end

      def row_texts(row) =
        row.cells.each_with_object([]) { |cell, list| list[cell.column] = shown(cell) }.map(&:to_s)

      def shown(cell) = cell && (rich_of(cell)&.content&.text || cell.value)

      def read_row(row, sheet, hidden, chosen, fixed)
        by_column =
          (
            if chosen.values_at(:target, :context, :limit, :note).any?
              row.cells.to_h { |cell| [cell.column, cell] }
            else
              nil
            end
          )
        facts = by_column ? facts_of(by_column, chosen) : {}
        row.cells.each do |cell|
          next unless cell.text? && !fixed[cell.reference]
          if hidden.any? { |range| range.cover?(cell.column) } ||
              !@cells.take?(sheet.name, cell.column, row.number, chosen)
            next
          end
          next if chosen[:target] && cell.column != chosen[:source]

          rich = rich_of(cell)
          next unless rich && text?(cell, rich)

          if chosen[:target]
            take_pair(cell, rich, row, by_column, sheet, chosen[:target], facts)
          else
            take(cell, rich, sheet, facts)
          end
        end
      end

      # The same string is looked at once, however many cells show it.
      def text?(cell, rich)
        return Columns.text?(rich.content.text) unless cell.shared

        (@texts ||= {}).fetch(cell.shared) { @texts[cell.shared] = Columns.text?(rich.content.text) }
      end

      def facts_of(cells, chosen)
        at = ->(name) { chosen[name] && shown(cells[chosen[name]]) }
        { key: at.call(:context), limit: at.call(:limit)&.[](/\d+/)&.to_i, note: at.call(:note) }.compact
      end

      def take(cell, rich, sheet, facts)
        unit =
          Unit.new(
            id: "s#{sheet.number}!#{cell.reference}",
            location: Location.new("sheet-cell", sheet: sheet.name, cell: cell.reference),
            block: "cell",
            content: rich.content,
            look: rich.look,
            **facts
          )
        @taken << Cell.new(unit: unit, reference: cell.reference, part: sheet.path, index: cell.shared)
      end

      # A source and the cell its translation stands in.
      def take_pair(_cell, rich, row, by_column, sheet, target, facts)
        reference = "#{Columns.letters(target)}#{row.number}"
        given = by_column[target] && rich_of(by_column[target])&.content
        given = given && !given.blank? ? given.fitted(rich.content) : nil
        unit =
          Unit.new(
            id: "s#{sheet.number}!#{reference}",
            location: Location.new("sheet-cell", sheet: sheet.name, cell: reference),
            block: "cell",
            content: rich.content,
            look: rich.look,
            target: given,
            state: given && "translated",
            whole: true,
            **facts
          )
        @taken << Cell.new(unit: unit, reference: reference, part: sheet.path, source: rich)
      end

      # The text of a cell with its looks, nil for other kinds of cell.
      def rich_of(cell)
        if cell.shared
          @strings[cell.shared] && (@rich[cell.shared] ||= RichText.new(@strings[cell.shared]))
        elsif (text = cell.plain)
          RichText.new(nil, text)
        elsif cell.inline
          RichText.new(cell.inline_node)
        end
      end

      # Headings of tables repeat the texts of their cells; those that formulas name stay as they are.
      def read_tables(sheet)
        related(sheet.path, "table").each_with_object({}) do |path, fixed|
          table = parse(path).root
          column, row = Cells.split(table["ref"].to_s.split(":").first.to_s)
          table
            .xpath("./*[local-name()='tableColumns']/*[local-name()='tableColumn']")
            .each_with_index do |node, index|
              reference = "#{Columns.letters(column + index)}#{row}"
              named = @formulas.include?("[#{node["name"]}]") || @formulas.include?("@#{node["name"]}]")
              if named || table["headerRowCount"] == "0"
                fixed[reference] = named
              else
                (@tables[path] ||= []) << [sheet.path, reference, node]
              end
            end
          @tables[path] ||= []
        end
      end

      def read_messages(root, sheet)
        root
          .xpath(".//*[local-name()='dataValidation']")
          .each_with_index do |node, index|
            MESSAGES.each do |name|
              take_attribute(
                node.attribute(name),
                id: "s#{sheet.number}!#{name}#{index + 1}",
                location: Location.new("sheet-message", sheet: sheet.name, cells: node["sqref"].to_s),
                part: sheet.path
              )
            end
          end
        root
          .xpath(".//*[local-name()='hyperlink']")
          .each_with_index do |node, index|
            take_attribute(
              node.attribute("tooltip"),
              id: "s#{sheet.number}!tip#{index + 1}",
              location: Location.new("link-tip", sheet: sheet.name),
              part: sheet.path
            )
          end
      end

      def read_print(root, sheet)
        root
          .xpath("./*[local-name()='headerFooter']/*")
          .each do |node|
            next unless node.text.gsub(PRINT_CODES, "").match?(/\p{L}/)

            content, raws = Placeholders.read(node.text, PRINT_CODES)
            unit =
              Unit.new(
                id: "s#{sheet.number}!#{node.name}",
                location: Location.new(node.name[/Header/] ? "sheet-header" : "sheet-footer",
                  sheet: sheet.name),
                block: node.name[/Header/] ? "header" : "footer",
                content: content
              )
            @places << Place.new(unit: unit, paragraph: PrintLine.new(node, raws), part: sheet.path)
          end
      end

      # A printed header or footer as something that is written.
      PrintLine =
        Struct.new(:node, :raws) do
          def write(content, _language) = node.content = Placeholders.write(content, raws, &:itself)
          def language = nil
        end

      def read_drawings(sheet)
        related(sheet.path, "drawing").each do |path|
          story = Story.new(path: path, kind: "drawing", xml: parse(path))
          read_drawing(story) do |node|
            if node.ancestors.any? { |parent| parent.name == "Fallback" }
              nil
            else
              ["text-box", Location.new("sheet-shape", sheet: sheet.name)]
            end
          end
          story.xml.xpath("//*[local-name()='cNvPr']").each { |node| alt_text(node, story) }
          read_graphics(path)
        end
      end

      def read_form_controls(sheet)
        drawings = related(sheet.path, "drawing")
        read_old_captions(sheet, @places.select { |place| drawings.include?(place.part) })
        read_control_lists(sheet)
        read_controls(sheet.path)
      end

      def read_comments(sheet)
        related(sheet.path, "comments").each do |path|
          @comment_parts << path
          parse(path)
            .root
            .xpath(".//*[local-name()='comment']")
            .each do |node|
              text = node.element_children.find { |child| child.name == "text" } or next
              rich = RichText.new(text)
              next if rich.content.blank?

              @places << Place.new(
                unit:
                  Unit.new(
                    id: "s#{sheet.number}!comment-#{node["ref"]}",
                    location: Location.new("cell-comment", sheet: sheet.name, cell: node["ref"]),
                    block: "note",
                    content: rich.content,
                    look: rich.look
                  ),
                paragraph: rich,
                part: path
              )
            end
        end
      end

      def read_names
        @sheets.each do |sheet|
          unless @cells.sheet?(sheet.name, sheet.node["state"].to_s.match?(/hidden/i)) &&
              sheet.name.match?(/\p{L}/)
            next
          end
          next if named_by_formula?(sheet.name)

          unit =
            Unit.new(
              id: "s#{sheet.number}!name",
              location: Location.new("sheet-name"),
              block: "property",
              content: Content.text(sheet.name),
              limit: MAX_NAME
            )
          @places << Place.new(unit: unit, attribute: sheet.node.attribute("name"), part: @main)
        end
      end

      def named_by_formula?(name)
        quoted, plain = Regexp.escape(name.gsub("'", "''")), Regexp.escape(name)
        attribute = Regexp.escape(Markup.escape(name))
        @formulas.match?(/(?:'#{quoted}'|(?<![\w'])#{plain})!|\bsheet="#{attribute}"/i)
      end

      def initialize(bytes, name, options)
        super
        order = @sheets.map(&:path)
        @units =
          (
            @taken.map { |cell| [order.index(cell.part), cell.unit] } +
              @places.map { |place| [order.index(place.part) || order.size, place.unit] }
          ).sort_by.with_index { |(sheet, _), index| [sheet, index] }.map(&:last)
      end

      # --- writing ---

      # Answers what to put into which cell: {part => {reference => [shared index] or inner XML}}.
      def put_cells(contents)
        puts = Hash.new { |hash, part| hash[part] = {} }
        wanted = @taken.select { |cell| contents.key?(cell.unit.id) }
        wanted.each do |cell|
          puts[cell.part][cell.reference] = [cell, contents[cell.unit.id]] if cell.index.nil?
        end
        references = wanted.any?(&:index) ? reference_counts : {}
        wanted
          .select(&:index)
          .group_by(&:index)
          .each { |index, cells| put_shared(index, cells, contents, references, puts) }
        puts
      end

      # One string for many cells: it is changed where all of them agree, and doubled where they do not.
      def put_shared(index, cells, contents, references, puts)
        @strings_changed = true
        groups =
          cells.group_by { |cell| contents[cell.unit.id].written }.values.sort_by { |group| -group.size }
        original = groups.size > 1 || references[index] != cells.size ? Nodes.copy(@strings[index]) : nil
        if references[index] == cells.size
          RichText.new(@strings[index]).write(contents[groups.shift.first.unit.id], nil)
        end
        groups.each do |group|
          copy = parse(@strings_path).root.add_child(Nodes.copy(original))
          RichText.new(copy).write(contents[group.first.unit.id], nil)
          @added = @added.to_i + 1
          group.each { |cell| puts[cell.part][cell.reference] = @strings.size + @added - 1 }
        end
      end

      # How many cells of all sheets, taken or not, show each shared string.
      def reference_counts
        @sheets.each_with_object(Hash.new(0)) do |sheet, counts|
          container
            .read(sheet.path)
            .b
            .scan(/<(?:\w+:)?c\b[^>]*\bt="s"[^>]*>\s*<(?:\w+:)?v>(\d+)</n) do |(index)|
              counts[index.to_i] += 1
            end
        end
      end

      def put_headings(contents)
        by_place = @taken.to_h { |cell| [[cell.part, cell.reference], cell] }
        @tables
          .select do |_, headings|
            headings
              .count do |part, reference, node|
                content = contents[by_place[[part, reference]]&.unit&.id] or next
                node["name"] = content.text.gsub("\n", "_x000a_")
              end
              .positive?
          end
          .keys
      end

      def put_names(contents)
        used = {}
        if @places
            .select { |place| place.part == @main }
            .each { |place|
              wanted =
                (contents[place.unit.id] || place.unit.content).text.gsub(NAMELESS, " ").strip[0, MAX_NAME]
              wanted = "#{wanted[0, MAX_NAME - 3]} #{used[wanted.downcase] + 1}" if used[wanted.downcase]
              used[wanted.downcase] = used.fetch(wanted.downcase, 0) + 1
              place.attribute.content = wanted
            }
            .any? { |place| contents.key?(place.unit.id) }
          [@main]
        else
          []
        end
      end

      def frame_sheet(xml)
        xml.root.xpath("./*[local-name()='sheetViews']").each do |views|
          view = views.first_element_child
          view&.remove_attribute("rightToLeft")
          views.unlink if view && view.attributes.keys == %w[workbookViewId] && views.element_children.one?
        end
        xml
          .root
          .xpath(".//*[local-name()='dataValidation']")
          .each { |node| MESSAGES.each { |name| node.remove_attribute(name) } }
        xml.root.xpath(SheetControls::LIST).each { |node| node.content = "" if node.text.match?(/"/) }
        xml.root.xpath("#{SheetControls::LIST}/#{SheetControls::NEWER}").each { |node| node.content = "" }
        xml.root.xpath(".//*[local-name()='hyperlink']").each { |node| node.remove_attribute("tooltip") }
        xml.root.xpath("./*[local-name()='headerFooter']/*").each { |node| node.content = "" }
      end

      # The rows with the cells of units blank, and others with the text they show.
      def frame_rows(rows, sheet)
        taken = @taken.select { |cell| cell.part == sheet.path }.to_h { |cell| [cell.reference, cell] }
        SheetData.map(rows) do |cell, raw|
          if taken[cell.reference]
            taken[cell.reference].source ? "" : cell.reference
          elsif cell.shared
            "#{cell.reference}=#{rich_of(cell)&.content&.written}"
          else
            raw
          end
        end
      end
    end
  end
end

require "glossema/formats/office/xlsx/rich_text"
require "glossema/formats/office/xlsx/sheet_data"
