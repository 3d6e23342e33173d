# The rows of a sheet, read and changed in its text: a sheet has too many cells to make a node of each.
module Glossema
  module Formats
    class Xlsx
      module SheetData
        ROWS = %r{<(?<prefix>(?:\w+:)?)sheetData\b[^>]*?(?:/>|>.*?</\k<prefix>sheetData>)}m
        ROW = %r{<(?:\w+:)?row\b([^>]*?)(?:/>|>(.*?)</(?:\w+:)?row>)}m
        CELL = %r{<(\w+:)?c\b((?:[^>"]|"[^"]*")*?)(?:/>|>(.*?)</(?:\w+:)?c>)}m
        PLAIN = %r{\A\s*<(?:\w+:)?is>\s*<(?:\w+:)?t\b[^>]*>([^<]*)</(?:\w+:)?t>\s*</(?:\w+:)?is>\s*\z}
        NAMESPACE = "http://schemas.openxmlformats.org/spreadsheetml/2006/main".freeze

        # Encodings of XML that does not begin with a mark, by its first character.
        WITHOUT_MARK = { "<\0".b => "UTF-16LE", "\0<".b => "UTF-16BE" }.freeze

        Row = Struct.new(:number, :hidden, :cells)
        # shared: index of a shared string, or nil; inline: XML of a string of its own, or nil; value: what
        # else it holds.
        Cell =
          Struct.new(:reference, :column, :shared, :inline, :value, :prefix) do
            # The text of a string of its own that is one plain text, else nil.
            def plain = (text = inline&.match(PLAIN)&.[](1)) && Markup.decode(text)
            def text? = !shared.nil? || !inline.nil?

            def inline_node =
              Nokogiri
                .XML("<#{prefix}root #{declaration}>#{inline}</#{prefix}root>")
                .root
                .first_element_child

            # The name space of sheets, under the prefix this one uses.
            def declaration = "xmlns#{":#{prefix.chop}" if prefix}=\"#{NAMESPACE}\""
          end

        module_function

        # The text of a sheet → [its sheetData, the rest of it].
        def parts(bytes)
          text = utf8(bytes)
          match = ROWS.match(text) or return "", text
          [match[0][/>(.*)<[^<]*\z/m, 1].to_s, text.sub(ROWS, "")]
        end

        # A changed sheet with its rows as they were in the other: writing XML anew must not touch them.
        def restored(changed, original)
          rows = ROWS.match(utf8(original)) or return changed
          utf8(changed).sub(ROWS) { rows[0] }
        end

        def utf8(bytes)
          return EncodedText.head(bytes.b, bytes.bytesize) if bytes.b.start_with?("\xFF\xFE".b, "\xFE\xFF".b)

          wide = WITHOUT_MARK[bytes.byteslice(0, 2).b]
          wide ? bytes.dup.force_encoding(wide).encode("UTF-8") : bytes.dup.force_encoding("UTF-8")
        end

        # Yields each Row of a sheet. Cells and rows without a place of their own follow the one before.
        def rows(bytes)
          number = 0
          utf8(bytes).scan(ROW) do |attributes, inner|
            number = (attributes[/\br="(\d+)"/, 1] || number + 1).to_i
            yield Row.new(number, attributes.match?(/\bhidden="(?:1|true)"/), cells(inner.to_s, number))
          end
        end

        def cells(inner, number)
          column = -1
          inner
            .scan(CELL)
            .map do |prefix, attributes, content|
              cell = cell(prefix, attributes, content, number, column)
              column = cell.column
              cell
            end
        end

        def cell(prefix, attributes, content, number, column)
          reference = attributes[/\br="([A-Z]+\d+)"/, 1]
          column = reference ? Cells.split(reference).first : column + 1
          reference ||= "#{Columns.letters(column)}#{number}"
          kind = attributes[/\bt="(\w+)"/, 1]
          formula = content && content.match?(%r{<(?:\w+:)?f[\s/>]})
          value = content && content[/<(?:\w+:)?v\b[^>]*>([^<]*)</, 1]
          Cell.new(
            reference,
            column,
            kind == "s" && !formula && value&.match?(/\A\d+\z/) ? value.to_i : nil,
            kind == "inlineStr" && !formula ? content : nil,
            value && Markup.decode(value),
            prefix
          )
        end

        # The rows with each cell replaced by what the block answers for it, given the Cell and its XML.
        def map(rows)
          number = 0
          rows.gsub(/<(?:\w+:)?row\b[^>]*>|#{CELL}/m) do |raw|
            if raw.match?(/\A<(?:\w+:)?row\b/)
              number = (raw[/\br="(\d+)"/, 1] || number + 1).to_i
              @column = -1
              next raw
            end
            match = Regexp.last_match
            found = cell(match[1], match[2], match[3], number, @column || -1)
            @column = found.column
            yield found, raw
          end
        end

        # Puts into cells: {reference => index of a shared string, or [Xlsx::Cell, Content]}; cells that are
        # missing are added.
        def put(bytes, wanted)
          waiting = wanted.dup
          text = utf8(bytes)
          match = ROWS.match(text)
          rows =
            map(match[0]) do |cell, raw|
              value = waiting.delete(cell.reference) or next raw
              if value.is_a?(Integer)
                raw.sub(/(<(?:\w+:)?v\b[^>]*>)\d+(?=<)/) { "#{Regexp.last_match(1)}#{value}" }
              else
                inline(raw, cell, *value)
              end
            end
          rows = add(rows, waiting) if waiting.any?
          "#{match.pre_match}#{rows}#{match.post_match}".b
        end

        # A cell with a text of its own.
        def inline(raw, cell, taken, content)
          prefix = cell.prefix
          start = raw[/\A<(?:[^>"]|"[^"]*")*>/].sub(%r{/?>\z}, "").sub(/\s+t="\w+"/, "")
          inner = plain(cell, taken, content) || looked(cell, taken, content)
          "#{start} t=\"inlineStr\"><#{prefix}is>#{inner}</#{prefix}is></#{prefix}c>"
        end

        # One text of one look, as most cells hold, needs no tree; nil for others.
        def plain(cell, taken, content)
          return if taken.source || content.coded? || cell.inline.nil? || !cell.inline.match?(PLAIN)

          text = content.text
          return if text.match?(/[\u0000-\u0008\v\f\u000e-\u001f\r]/)

          space = ' xml:space="preserve"' if text.match?(/\A\s|\s\z|\n/)
          "<#{cell.prefix}t#{space}>#{Markup.escape(text)}</#{cell.prefix}t>"
        end

        def looked(cell, taken, content)
          prefix = cell.prefix
          node =
            (
              if cell.inline && taken.source.nil?
                cell.inline_node
              else
                Nokogiri.XML("<#{prefix}is xmlns#{":#{prefix.chop}" if prefix}=\"#{NAMESPACE}\"/>").root
              end
            )
          (taken.source || RichText.new(node)).write_to(node, content)
          node
            .children
            .map do |child|
              child.to_xml(
                save_with:
                  Nokogiri::XML::Node::SaveOptions::AS_XML | Nokogiri::XML::Node::SaveOptions::NO_DECLARATION
              )
            end
            .join
        end

        def add(rows, waiting)
          by_row = waiting.group_by { |reference, _| reference[/\d+/] }
          rows.gsub(ROW) do |raw|
            cells = by_row.delete(raw[/\br="(\d+)"/, 1]) or next raw
            cells.reduce(raw) { |row, (reference, value)| insert(row, reference, value) }
          end
        end

        # Cells stand in the order of their columns.
        def insert(row, reference, value)
          column = Cells.split(reference).first
          prefix = row[/\A<(\w+:)?row/, 1]
          made =
            inline(
              "<#{prefix}c r=\"#{reference}\">",
              Cell.new(reference, column, nil, nil, nil, prefix),
              *value
            )
          at =
            row
              .enum_for(:scan, CELL)
              .map { Regexp.last_match }
              .find { |match| Cells.split(match[2][/\br="([A-Z]+\d+)"/, 1].to_s).first > column }
          at ? row.dup.insert(at.begin(0), made) : row.sub(%r{(?=</(?:\w+:)?row>\z)}) { made }
        end
      end
    end
  end
end
