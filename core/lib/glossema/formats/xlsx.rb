# XLSX (also XLSM, XLTX): texts of cells, plain and rich, by sheet and row; sheet names that no formula names; headings of
# tables; input messages; printed headers and footers; charts, shapes and their alternative texts; comments by option.
# Formulas, numbers and dates stay. Cells that share one string may be translated differently.
module Glossema
  module Formats
    class Xlsx < Ooxml
      NAME = "XLSX".freeze
      EXTENSIONS = %w[xlsx xlsm xltx xltm].freeze
      MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet".freeze
      FAMILY = "spreadsheetml".freeze
      DEFAULTS = Cells::DEFAULTS.merge("comments" => false, "alt_texts" => true, "title" => true, "print_headers" => true).freeze
      MESSAGES = %w[promptTitle prompt errorTitle error].freeze
      # Codes of printed headers and footers: fonts, sizes, page numbers, dates, sections.
      PRINT_CODES = /&(?:"[^"]*"|\d+|K[\h+\-]+|[A-Z&])/
      NAMELESS = /[\[\]:*?\/\\]/
      MAX_NAME = 31

      # A cell that holds the text of a unit. index: of the shared string, or nil for one of its own.
      Cell = Struct.new(:unit, :node, :part, :index, :target, keyword_init: true)
      Sheet = Struct.new(:name, :path, :number, :node, keyword_init: true)

      def bilingual? = @cells.bilingual?

      def preview(&block)
        by_sheet = @taken.group_by(&:part)
        @sheets.filter_map do |sheet|
          cells = by_sheet[sheet.path] or next
          rows = cells.first(4000).group_by { |cell| Cells.split(reference(cell)).last }.sort.map do |row, inner|
            "<tr><th>#{row}</th>#{inner.map { |cell| "<td>#{block.call(cell.unit)}</td>" }.join}</tr>"
          end
          "<h2>#{Glossema::Html.escape(sheet.name)}</h2><table class=\"grid\">#{rows.join}</table>"
        end.join + @places.select { |place| %w[chart text-box].include?(place.unit.block) }.map { |place| "<p>#{block.call(place.unit)}</p>" }.join
      end

      # Around the texts: cells that are no units count with what they show.
      def frame(path)
        return super unless textual_part?(path)

        xml = Nokogiri::XML(container.read(path))
        sheet = @sheets.find { |one| one.path == path }
        if sheet then frame_sheet(xml, sheet)
        elsif path == @strings_path then return "strings"
        else
          xml.root.xpath("//*[local-name()='sheet']").each { |node| node.remove_attribute("name") } if path == @main
          xml.root.xpath("//*[local-name()='tableColumn']").each { |node| node.remove_attribute("name") }
          xml.root.xpath("//*[local-name()='text']").each { |node| node.children.each(&:unlink) }
        end
        xml.canonicalize
      end

      def untouched(other)
        names = container.entries
        # A string table comes along when there was none.
        return ["the list of parts"] if names != other.container.entries

        names.reject { |name| container.read(name) == other.container.read(name) || (textual?(name) && frame(name) == other.frame(name)) }
      end

      def apply(contents, target_language)
        plain = @places.reject { |place| place.part == @main || place.mirrors == :print }
        changed = put_cells(contents)
        renamed = put_names(contents)
        super_parts = begin
          keep, @places = @places, plain
          super
        ensure
          @places = keep
        end
        super_parts.merge(serialized(changed | renamed))
      end

      private

      def textual?(path) = textual_part?(path) || @places.any? { |place| place.part == path }
      def textual_part?(path) = @sheets.any? { |sheet| sheet.path == path } || path == @strings_path || path == @main || @tables.key?(path) || @comment_parts.include?(path)

      def serialized(paths) = paths.to_h { |path| [path, parse(path).then { |xml| xml.to_xml(encoding: xml.encoding || "UTF-8", save_with: Nokogiri::XML::Node::SaveOptions::AS_XML) }] }

      def read
        @cells = Cells.new(@options, @name)
        @taken, @comment_parts, @tables = [], [], {}
        @strings_path = related(@main, "sharedStrings").first
        @strings = @strings_path ? parse(@strings_path).root.element_children.select { |node| node.name == "si" } : []
        @rich = {}
        @sheets = sheets
        @formulas = formulas
        @sheets.each { |sheet| read_sheet(sheet) if @cells.sheet?(sheet.name, sheet.node["state"].to_s.match?(/hidden/i)) }
        read_names if @options["sheet_names"] && !bilingual?
      end

      def sheets
        targets = @relations.to_h { |relation| [relation[:id], relation] }
        parse(@main).root.xpath("//*[local-name()='sheets']/*[local-name()='sheet']").each_with_index.filter_map do |node, index|
          relation = targets[node.attribute_nodes.find { |attribute| attribute.node_name == "id" && attribute.namespace }&.value]
          Sheet.new(name: node["name"].to_s, path: relation[:target], number: index + 1, node: node) if relation && container.entry?(relation[:target])
        end
      end

      # Everything that refers to cells by name, in one text.
      def formulas
        parts = @sheets.map(&:path) + container.entries.grep(%r{\Axl/(?:charts/chart|pivotCache/pivotCacheDefinition|tables/)[^/]*\.xml\z})
        text = parts.flat_map { |path| container.read(path).to_s.b.scan(%r{<(?:\w+:)?(?:f|formula\d?|worksheetSource|calculatedColumnFormula)\b[^>]*>[^<]*|\blocation="[^"]*"|worksheetSource[^>]*}n) }
        text.concat(parse(@main).root.xpath("//*[local-name()='definedName']").map { |node| node.text.b })
        text.join("\n").force_encoding("UTF-8").scrub
      end

      def read_sheet(sheet)
        root = parse(sheet.path).root
        hidden = @cells.hidden? ? [] : hidden_columns(root)
        data = root.element_children.find { |node| node.name == "sheetData" }
        fixed = read_tables(sheet)
        rows = data ? data.element_children : []
        chosen = @cells.columns(rows.first ? row_texts(rows.first) : [])
        rows.each { |row| read_row(row, sheet, hidden, chosen, fixed) unless !@cells.hidden? && true?(row["hidden"]) }
        return if bilingual?

        read_messages(root, sheet)
        read_print(root, sheet) if @options["print_headers"]
        read_drawings(sheet)
        read_comments(sheet) if @options["comments"]
      end

      def true?(value) = %w[1 true].include?(value)

      def hidden_columns(root)
        root.xpath("./*[local-name()='cols']/*[local-name()='col']").select { |node| true?(node["hidden"]) }.map { |node| (node["min"].to_i - 1)..(node["max"].to_i - 1) }
      end

      def row_texts(row)
        row.element_children.each_with_object([]) { |node, list| list[Cells.split(node["r"].to_s).first] = rich_of(node)&.content&.text || node.element_children.find { |child| child.name == "v" }&.text }.map(&:to_s)
      end

      def read_row(row, sheet, hidden, chosen, fixed)
        cells = row.element_children
        by_column = chosen.values_at(:target, :context, :limit, :note).any? ? cells.to_h { |node| [Cells.split(node["r"].to_s).first, node] } : nil
        facts = by_column ? facts_of(by_column, chosen) : {}
        cells.each do |node|
          type = node["t"]
          next unless %w[s inlineStr].include?(type)

          column, number = Cells.split(node["r"].to_s)
          next if hidden.any? { |range| range.cover?(column) } || fixed[node["r"]] || !@cells.take?(sheet.name, column, number, chosen)
          next if chosen[:target] && column != chosen[:source]

          rich = rich_of(node)
          next unless rich && Columns.text?(rich.content.text) && node.element_children.none? { |child| child.name == "f" }

          chosen[:target] ? take_pair(node, rich, row, by_column, sheet, chosen[:target], facts) : take(node, rich, sheet, type, facts)
        end
      end

      def facts_of(cells, chosen)
        at = ->(name) { (node = chosen[name] && cells[chosen[name]]) && (rich_of(node)&.content&.text || node.element_children.find { |child| child.name == "v" }&.text) }
        { key: at.call(:context), limit: at.call(:limit)&.[](/\d+/)&.to_i, note: at.call(:note) }.compact
      end

      def take(node, rich, sheet, type, facts)
        unit = Unit.new(id: "s#{sheet.number}!#{node['r']}", path: "#{sheet.name} · #{node['r']}", block: "cell", content: rich.content, look: rich.look, **facts)
        @taken << Cell.new(unit: unit, node: node, part: sheet.path, index: type == "s" ? value(node).to_i : nil)
      end

      # A source and the cell its translation stands in.
      def take_pair(node, rich, row, by_column, sheet, target, facts)
        reference = "#{Columns.letters(target)}#{node['r'][/\d+/]}"
        given = by_column[target] && rich_of(by_column[target])&.content
        given = nil if given.nil? || given.blank?
        known = Content.code_table(rich.content)
        given &&= Content.new(given.items.filter_map { |item| item.is_a?(String) ? item : known[[item.id, item.kind]] }).well_formed
        unit = Unit.new(id: "s#{sheet.number}!#{reference}", path: "#{sheet.name} · #{reference}", block: "cell", content: rich.content, look: rich.look, target: given, state: given && "translated", whole: true, **facts)
        @taken << Cell.new(unit: unit, node: node, part: sheet.path, target: [row, by_column[target], reference, target])
      end

      def value(node) = node.element_children.find { |child| child.name == "v" }&.text.to_s

      # The text of a cell with its looks, nil for other kinds of cell.
      def rich_of(node)
        case node["t"]
        when "s" then (index = value(node)[/\A\d+\z/]&.to_i) && @strings[index] && (@rich[index] ||= RichText.new(@strings[index]))
        when "inlineStr" then node.element_children.find { |child| child.name == "is" }&.then { |inner| RichText.new(inner) }
        end
      end

      def reference(cell) = cell.target ? cell.target[2] : cell.node["r"]

      # Headings of tables repeat the texts of their cells; those that formulas name stay as they are.
      def read_tables(sheet)
        related(sheet.path, "table").each_with_object({}) do |path, fixed|
          table = parse(path).root
          column, row = Cells.split(table["ref"].to_s.split(":").first.to_s)
          table.xpath("./*[local-name()='tableColumns']/*[local-name()='tableColumn']").each_with_index do |node, index|
            reference = "#{Columns.letters(column + index)}#{row}"
            named = @formulas.include?("[#{node['name']}]") || @formulas.include?("@#{node['name']}]")
            named || table["headerRowCount"] == "0" ? fixed[reference] = named : (@tables[path] ||= []) << [sheet.path, reference, node]
          end
          @tables[path] ||= []
        end
      end

      def read_messages(root, sheet)
        root.xpath(".//*[local-name()='dataValidation']").each_with_index do |node, index|
          MESSAGES.each { |name| attribute_unit(node.attribute(name), "s#{sheet.number}!#{name}#{index + 1}", "#{sheet.name} · message for #{node['sqref']}", sheet) }
        end
        root.xpath(".//*[local-name()='hyperlink']").each_with_index { |node, index| attribute_unit(node.attribute("tooltip"), "s#{sheet.number}!tip#{index + 1}", "#{sheet.name} · tip of a link", sheet) }
      end

      def attribute_unit(attribute, id, path, sheet)
        return unless attribute && attribute.value.match?(/\p{L}/)

        @places << Place.new(unit: Unit.new(id: id, path: path, block: "property", content: Content.text(attribute.value)), attribute: attribute, part: sheet.path)
      end

      def read_print(root, sheet)
        root.xpath("./*[local-name()='headerFooter']/*").each do |node|
          next unless node.text.gsub(PRINT_CODES, "").match?(/\p{L}/)

          content, raws = Placeholders.read(node.text, PRINT_CODES)
          unit = Unit.new(id: "s#{sheet.number}!#{node.name}", path: "#{sheet.name} · printed #{node.name[/Header/] ? 'header' : 'footer'}", block: node.name[/Header/] ? "header" : "footer", content: content)
          @places << Place.new(unit: unit, paragraph: PrintLine.new(node, raws), part: sheet.path)
        end
      end

      # A printed header or footer as something that is written.
      PrintLine = Struct.new(:node, :raws) do
        def write(content, _language) = node.content = Placeholders.write(content, raws, &:itself)
        def language = nil
      end

      def read_drawings(sheet)
        related(sheet.path, "drawing").each do |path|
          story = Story.new(path: path, kind: "drawing", xml: parse(path))
          read_drawing(story) { |node| node.ancestors.any? { |parent| parent.name == "Fallback" } ? nil : ["text-box", "#{sheet.name} · shape"] }
          story.xml.xpath("//*[local-name()='cNvPr']").each { |node| alt_text(node, story) }
          read_graphics(path)
        end
      end

      def read_comments(sheet)
        related(sheet.path, "comments").each do |path|
          @comment_parts << path
          parse(path).root.xpath(".//*[local-name()='comment']").each do |node|
            text = node.element_children.find { |child| child.name == "text" } or next
            rich = RichText.new(text)
            next if rich.content.blank?

            @places << Place.new(unit: Unit.new(id: "s#{sheet.number}!comment-#{node['ref']}", path: "#{sheet.name} · comment on #{node['ref']}", block: "note", content: rich.content, look: rich.look), paragraph: rich, part: path)
          end
        end
      end

      def read_names
        @sheets.each do |sheet|
          next unless @cells.sheet?(sheet.name, sheet.node["state"].to_s.match?(/hidden/i)) && sheet.name.match?(/\p{L}/)
          next if @formulas.match?(/(?:'#{Regexp.escape(sheet.name.gsub("'", "''"))}'|(?<![\w'])#{Regexp.escape(sheet.name)})!/i)

          unit = Unit.new(id: "s#{sheet.number}!name", path: "name of a sheet", block: "property", content: Content.text(sheet.name), limit: MAX_NAME)
          @places << Place.new(unit: unit, attribute: sheet.node.attribute("name"), part: @main)
        end
      end

      def read_title
        super
        # Cells stand in the order of the sheets, what belongs to none after them.
        @places.each { |place| place.unit.path ||= place.part }
      end

      def initialize(bytes, name, options)
        super
        order = @sheets.map(&:path)
        @units = (@taken.map { |cell| [order.index(cell.part), cell.unit] } + @places.map { |place| [order.index(place.part) || order.size, place.unit] }).sort_by.with_index { |(sheet, _), index| [sheet, index] }.map(&:last)
      end

      # --- writing ---

      def put_cells(contents)
        changed = {}
        @taken.select { |cell| cell.target && contents.key?(cell.unit.id) }.each { |cell| put_pair(cell, contents[cell.unit.id], changed) }
        @taken.select { |cell| cell.index.nil? && cell.target.nil? && contents.key?(cell.unit.id) }.each do |cell|
          RichText.new(cell.node.element_children.find { |child| child.name == "is" }).write(contents[cell.unit.id], nil)
          changed[cell.part] = true
        end
        references = @taken.any? { |cell| cell.index && contents.key?(cell.unit.id) } ? reference_counts : {}
        @taken.select(&:index).group_by(&:index).each { |index, cells| put_shared(index, cells, contents, references, changed) }
        put_headings(contents, changed)
        changed.keys
      end

      # One string for many cells: it is changed where all of them agree, and doubled where they do not.
      def put_shared(index, cells, contents, references, changed)
        wanted = cells.select { |cell| contents.key?(cell.unit.id) }
        return if wanted.empty?

        groups = wanted.group_by { |cell| contents[cell.unit.id].written }.values.sort_by { |group| -group.size }
        changed[@strings_path] = true
        original = @strings[index].dup
        if references[index] == wanted.size
          first = groups.shift
          RichText.new(@strings[index]).write(contents[first.first.unit.id], nil)
        end
        groups.each do |group|
          copy = parse(@strings_path).root.add_child(original.dup)
          RichText.new(copy).write(contents[group.first.unit.id], nil)
          @added = @added.to_i + 1
          position = @strings.size + @added - 1
          group.each do |cell|
            cell.node.element_children.find { |child| child.name == "v" }.content = position.to_s
            changed[cell.part] = true
          end
        end
        root = parse(@strings_path).root
        root["uniqueCount"] = (@strings.size + @added.to_i).to_s if root["uniqueCount"]
      end

      # How many cells of all sheets, taken or not, show each shared string.
      def reference_counts
        @sheets.each_with_object(Hash.new(0)) do |sheet, counts|
          container.read(sheet.path).b.scan(/<(?:\w+:)?c\b[^>]*\bt="s"[^>]*>\s*<(?:\w+:)?v>(\d+)</n) { |(index)| counts[index.to_i] += 1 }
        end
      end

      def put_pair(cell, content, changed)
        row, node, reference, column = cell.target
        unless node
          node = Nokogiri::XML::Node.new("c", row.document)
          node.namespace = row.namespace
          node["r"] = reference
          after = row.element_children.select { |one| Cells.split(one["r"].to_s).first < column }.last
          after ? after.add_next_sibling(node) : row.prepend_child(node)
        end
        node.children.each(&:unlink)
        node["t"] = "inlineStr"
        inner = Nokogiri::XML::Node.new("is", row.document)
        inner.namespace = row.namespace
        node << inner
        source = rich_of(cell.node)
        source.write_to(inner, content)
        changed[cell.part] = true
      end

      def put_headings(contents, changed)
        by_place = @taken.to_h { |cell| [[cell.part, cell.node["r"]], cell] }
        @tables.each do |path, headings|
          headings.each do |part, reference, node|
            cell = by_place[[part, reference]]
            content = cell && contents[cell.unit.id] or next
            node["name"] = content.text.gsub("\n", "_x000a_")
            changed[path] = true
          end
        end
      end

      def put_names(contents)
        used = {}
        @places.select { |place| place.part == @main }.each do |place|
          wanted = (contents[place.unit.id] || place.unit.content).text.gsub(NAMELESS, " ").strip[0, MAX_NAME]
          wanted = "#{wanted[0, MAX_NAME - 3]} #{used[wanted.downcase] + 1}" if used[wanted.downcase]
          used[wanted.downcase] = used.fetch(wanted.downcase, 0) + 1
          place.attribute.content = wanted
        end.any? { |place| contents.key?(place.unit.id) } ? [@main] : []
      end

      def frame_sheet(xml, sheet)
        taken = @taken.select { |cell| cell.part == sheet.path }.to_h { |cell| [reference(cell), cell] }
        xml.root.xpath(".//*[local-name()='c']").each do |node|
          cell = taken[node["r"]]
          if cell&.target then node.unlink
          elsif cell then node.children.each(&:unlink)
          elsif node["t"] == "s" then node.children.first&.content = rich_of(node)&.content&.written.to_s
          end
        end
        xml.root.xpath(".//*[local-name()='dataValidation']").each { |node| MESSAGES.each { |name| node.remove_attribute(name) } }
        xml.root.xpath(".//*[local-name()='hyperlink']").each { |node| node.remove_attribute("tooltip") }
        xml.root.xpath("./*[local-name()='headerFooter']/*").each { |node| node.content = "" }
        xml.root.xpath(".//*[local-name()='row']").each { |node| node.children.select(&:text?).each(&:unlink) }
      end
    end
  end
end

require "glossema/formats/xlsx/rich_text"
