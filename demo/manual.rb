# Builds a client's DOCX from a text with two languages side by side: kind, English, Italian.
#   kinds: title h1 h2 p li ol warn pic row! (first row) row; marks: **bold** *italic* [text](link)
#   ^[footnote]
require "zip"
require_relative "pictures"

module Demo
  class Manual
    MARKS = /\*\*(.+?)\*\*|\*(.+?)\*|\[(.+?)\]\((\w+)\)|\^\[(.+?)\]/
    W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main".freeze
    R = "http://schemas.openxmlformats.org/officeDocument/2006/relationships".freeze
    NAMESPACES =
      %(xmlns:w="#{W}" xmlns:r="#{R}" xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/) +
      %(wordprocessingDrawing" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" ) +
      %(xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture")
    LINKS = {
      "link" => "https://tarnholt.example/register",
      "mail" => "mailto:service@tarnholt.example"
    }.freeze
    HEAD = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n).freeze

    attr_reader :rows

    # rows: arrays of kind and texts by language.
    def initialize(rows) = @rows = rows

    def self.load(path) = new(File.readlines(path, chomp: true).map { |line| line.split("\t") })

    # Pairs of texts without marks, a sentence each where both sides have as many: {English => Italian}.
    # An Italian sentence keeps its marks as codes, numbered as its English one has them.
    def sentences
      english, italian = %w[en it].map { |language| Glossema::Segmentation::Segmenter.new(language) }
      texts.each_with_object({}) do |(source, target), pairs|
        sides = [english.segments(source), italian.segments(target)]
        sides = [[source], [target]] if sides.map(&:size).uniq.size > 1
        sides.transpose.each { |one, other| pairs[strip(one)] = coded(one, other) }
      end
    end

    # The bytes of the file in one language: 1 English, 2 Italian.
    def docx(title:, language: "en-GB", column: 1)
      @column, @notes, @pictures, @ids = column, [], [], 0
      body = blocks
      parts = {
        "[Content_Types].xml" => types,
        "_rels/.rels" => package_relations,
        "docProps/core.xml" => core(title),
        "word/document.xml" =>
          "#{HEAD}<w:document #{NAMESPACES}><w:body>#{body}#{section}</w:body></w:document>",
        "word/styles.xml" => styles(language),
        "word/numbering.xml" => numbering,
        "word/footnotes.xml" => footnotes,
        "word/header1.xml" => story("hdr", run(title)),
        "word/footer1.xml" => story("ftr", "#{run("Tarnholt Cargo Cycles · ")}#{field("PAGE", "1")}"),
        "word/_rels/document.xml.rels" => relations
      }
      @pictures.uniq.each { |name| parts["word/media/#{name}.png"] = Pictures.png(name) }
      zip(parts)
    end

    private

    def texts
      rows
        .flat_map do |kind, *columns|
          next [columns[-2..]] if kind == "pic"

          if kind.start_with?("row")
            columns[0].split("|", -1).zip(columns[1].split("|", -1))
          else
            [columns.first(2)]
          end
        end
        .flat_map { |pair| notes_apart(pair) }
        .reject { |pair| pair.first.to_s.empty? }
    end

    def notes_apart(pair)
      notes = pair.map { |text| text[/\^\[(.+?)\]/, 1] }
      notes.compact.size == 2 ? [pair.map { |text| text.sub(/\^\[.+?\]/, "") }, notes] : [pair]
    end

    def strip(text) = text.gsub(MARKS) { Regexp.last_match.captures.values_at(0, 1, 2).compact.first.to_s }

    # Marks as codes in the order of the other side's marks of the same kind; those that wrap everything are
    # no codes.
    def coded(source, target)
      whole = source.match?(/\A(?:\*\*[^*]+\*\*|\*[^*]+\*)\z/)
      kinds = source.scan(MARKS).map { |captures| captures.index { |capture| capture } }
      seen = Hash.new(0)
      target.gsub(MARKS) do
        captures = Regexp.last_match.captures
        kind = captures.index { |capture| capture }
        number = kinds.each_index.select { |index| kinds[index] == kind }[(seen[kind] += 1) - 1]
        text = captures.values_at(0, 1, 2).compact.first.to_s
        whole || number.nil? ? text : "{#{number + 1}}#{text}{/#{number + 1}}"
      end
    end

    def blocks
      rows
        .chunk_while { |one, other| one[0].start_with?("row") && other[0] == "row" }
        .map { |group| group.first[0].start_with?("row") ? table(group) : block(*group.first) }
        .join
    end

    def block(kind, *columns)
      text = columns[@column - 1]
      case kind
      when "title"
        paragraph("Title", text)
      when "h1"
        paragraph("Heading1", text)
      when "h2"
        paragraph("Heading2", text)
      when "li"
        paragraph("ListBullet", text)
      when "ol"
        paragraph("ListNumber", text)
      when "warn"
        paragraph("Warning", text)
      when "pic"
        picture(columns[0], columns[@column])
      else
        paragraph(nil, text)
      end
    end

    def paragraph(style, text)
      "<w:p>#{"<w:pPr><w:pStyle w:val=\"#{style}\"/></w:pPr>" if style}#{runs(text)}</w:p>"
    end

    # Text with marks → runs. Every third plain run is cut in two, as word processors leave them.
    def runs(text)
      out, rest = +"", 0
      text.scan(MARKS) do |bold, italic, link, target, note|
        match = Regexp.last_match
        out << plain(text[rest...match.begin(0)])
        rest = match.end(0)
        out << if bold
          run(bold, "<w:b/>")
        elsif italic
          run(italic, "<w:i/>")
        elsif link
          "<w:hyperlink r:id=\"#{target}\">#{run(link, '<w:rStyle w:val="Hyperlink"/>')}</w:hyperlink>"
        else
          footnote_mark(note)
        end
      end
      out << plain(text[rest..])
    end

    def plain(text)
      return "" if text.empty?

      at = text.length > 40 && text.index(" ", text.length / 2)
      if at
        "#{run(text[0..at])}<w:proofErr w:type=\"spellStart\"/>" \
          "#{run(text[(at + 1)..], '<w:lang w:val="en-US"/>')}<w:proofErr w:type=\"spellEnd\"/>"
      else
        run(text)
      end
    end

    def run(text, properties = "") =
      %(<w:r>#{"<w:rPr>#{properties}</w:rPr>" unless properties.empty?}) +
        %(<w:t xml:space="preserve">#{escape(text)}</w:t></w:r>)

    def footnote_mark(text)
      @notes << text
      "<w:r><w:rPr><w:vertAlign w:val=\"superscript\"/></w:rPr><w:footnoteReference w:id=\"#{@notes.size}\"" \
        "/></w:r>"
    end

    def field(instruction, result)
      %w[begin instr separate result end]
        .map do |step|
          inner =
            {
              "instr" => "<w:instrText xml:space=\"preserve\"> #{instruction} </w:instrText>",
              "result" => "<w:t>#{result}</w:t>"
            }[
              step
            ] || "<w:fldChar w:fldCharType=\"#{step}\"/>"
          "<w:r>#{inner}</w:r>"
        end
        .join
    end

    def table(group)
      width = 9000 / group.first[@column].split("|", -1).size
      cells =
        group.map do |kind, *columns|
          row =
            columns[@column - 1]
              .split("|", -1)
              .map do |text|
                "<w:tc><w:tcPr><w:tcW w:w=\"#{width}\" w:type=\"dxa\"/></w:tcPr><w:p><w:pPr><w:pStyle " \
                  "w:val=\"#{kind == "row!" ? "TableHead" : "TableText"}\"/></w:pPr>#{runs(text)}</w:p></w:" \
                  "tc>"
              end
          "<w:tr>#{row.join}</w:tr>"
        end
      grid = group.first[@column].split("|", -1).map { "<w:gridCol w:w=\"#{width}\"/>" }.join
      "<w:tbl><w:tblPr><w:tblStyle w:val=\"Grid\"/><w:tblW w:w=\"9000\" " \
        "w:type=\"dxa\"/></w:tblPr><w:tblGrid>" \
        "#{grid}</w:tblGrid>#{cells.join}</w:tbl><w:p/>"
    end

    def picture(name, description)
      @pictures << name
      wide, high = 4_572_000, 2_032_000
      "<w:p><w:r><w:drawing><wp:inline><wp:extent " \
        "cx=\"#{wide}\" cy=\"#{high}\"/><wp:docPr " \
        "id=\"#{@ids += 1}\" name=\"#{name}\" descr=\"#{escape(description)}\"/>" \
        "<a:graphic><a:graphicData " \
        "uri=\"http://schemas.openxmlformats.org/drawingml/2006/picture\"><pic:pic><pic:nvPicPr><pic:cNvPr " \
        "id=\"" \
        "#{@ids}\" name=\"#{name}.png\"/><pic:cNvPicPr/></pic:nvPicPr>" \
        "<pic:blipFill><a:blip r:embed=\"#{name}\"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill><pic" \
        ":spPr><a:xfrm><a:off x=\"0\" y=\"0\"/><a:ext cx=\"#{wide}\" cy=\"#{high}\"/></a:xfrm><a:prstGeom " \
        "prst=\"rect\"><a:avLst/></a:prstGeom></pic:spPr></pic:pic></a:graphicData></a:graphic></wp:inline>" \
        "</w:draw" \
        "ing></w:r></w:p>"
    end

    def section
      %(<w:sectPr><w:headerReference w:type="default" r:id="header"/>) +
        %(<w:footerReference w:type="default" r:id="footer"/>) +
        %(<w:pgSz w:w="11906" w:h="16838"/><w:pgMar w:top="1400" w:right="1400" w:bottom="1400" ) +
        %(w:left="1400" w:header="700" w:footer="700" w:gutter="0"/></w:sectPr>)
    end

    def story(element, inner) = "#{HEAD}<w:#{element} #{NAMESPACES}><w:p>#{inner}</w:p></w:#{element}>"

    def footnotes
      notes =
        @notes.each_with_index.map do |text, index|
          "<w:footnote w:id=\"#{index + 1}\"><w:p><w:r><w:rPr><w:vertAlign " \
            "w:val=\"superscript\"/></w:rPr><w:footnoteRef/></w:r>#{run(" ")}#{runs(text)}</w:p></w:footnote>"
        end
      "#{HEAD}<w:footnotes #{NAMESPACES}><w:footnote w:type=\"separator\" " \
        "w:id=\"-1\"><w:p><w:r><w:separator/></w:r></w:p></w:footnote>#{notes.join}</w:footnotes>"
    end

    def styles(language)
      paragraph =
        lambda do |id, name, properties, run_properties = ""|
          "<w:style w:type=\"paragraph\" w:styleId=\"#{id}\"><w:name w:val=\"#{name}\"/><w:basedOn " \
            "w:val=\"Normal\"/><w:pPr>#{properties}</w:pPr><w:rPr>#{run_properties}</w:rPr></w:style>"
        end
      list = ->(number) { "<w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\"#{number}\"/></w:numPr>" }
      "#{HEAD}<w:styles #{NAMESPACES}><w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii=\"Georgia\" " \
        "w:hAnsi=\"Georgia\"/><w:sz w:val=\"21\"/><w:lang w:val=\"#{language}\"/></w:rPr></w:rPrDefault><w:" \
        "pPrDefau" \
        "lt><w:pPr><w:spacing w:after=\"120\"/></w:pPr></w:pPrDefault></w:docDefaults>" \
        "<w:style w:type=\"paragraph\" w:default=\"1\" w:styleId=\"Normal\"><w:name " \
        "w:val=\"Normal\"/></w:style>" +
        paragraph.call("Title", "Title", "", "<w:b/><w:sz w:val=\"44\"/>") +
        paragraph.call(
          "Heading1",
          "heading 1",
          "<w:keepNext/><w:spacing w:before=\"360\"/><w:outlineLvl w:val=\"0\"/>",
          "<w:b/><w:sz w:val=\"30\"/>"
        ) +
        paragraph.call(
          "Heading2",
          "heading 2",
          "<w:keepNext/><w:spacing w:before=\"240\"/><w:outlineLvl w:val=\"1\"/>",
          "<w:b/><w:sz w:val=\"25\"/>"
        ) + paragraph.call("ListBullet", "List Bullet", list.call(1)) +
        paragraph.call("ListNumber", "List Number", list.call(2)) +
        paragraph.call(
          "Warning",
          "Warning",
          "<w:pBdr><w:left w:val=\"single\" w:sz=\"24\" w:space=\"8\" w:color=\"B0173C\"/></w:pBdr>"
        ) + paragraph.call("TableText", "Table Text", "<w:spacing w:after=\"40\"/>", "<w:sz w:val=\"19\"/>") +
        paragraph.call(
          "TableHead",
          "Table Head",
          "<w:spacing w:after=\"40\"/>",
          "<w:color w:val=\"2F6778\"/><w:sz w:val=\"19\"/>"
        ) +
        "<w:style w:type=\"character\" w:styleId=\"Hyperlink\"><w:name " \
"w:val=\"Hyperlink\"/><w:rPr><w:color w:val=\"2F6778\"/><w:u w:val=\"single\"/></w:rPr></w:style>" \
          "<w:style w:type=\"table\" w:styleId=\"Grid\"><w:name w:val=\"Table " \
"Grid\"/><w:tblPr><w:tblBorders>" \
"#{%w[top left bottom right insideH insideV].map { |side|
  "<w:#{side} w:val=\"single\" w:sz=\"4\" w:space=\"0\" w:color=\"B3CDD4\"/>"
}.join}</w:tblBorders></w:tblP" \
"r></w:style></w:styles>"
    end

    def numbering
      level = ->(id, format, text) do
        "<w:abstractNum w:abstractNumId=\"#{id}\"><w:lvl w:ilvl=\"0\"><w:start w:val=\"1\"/><w:numFmt " \
          "w:val=\"#{format}\"/><w:lvlText w:val=\"#{text}\"/><w:pPr><w:ind w:left=\"500\" " \
          "w:hanging=\"300\"/></w:pPr></w:lvl></w:abstractNum>"
      end
      "#{HEAD}<w:numbering #{NAMESPACES}>#{level.call(1, "bullet",
        "•")}#{level.call(2, "decimal",
          "%1.")}<w:num w:numId=\"1\"><w:abstractNumId w:val=\"1\"/></w:num><w:num " \
"w:numId=\"2\"><w:abstractNumId " \
"w:val=\"2\"/></w:num></w:numbering>"
    end

    def relations
      fixed = {
        "styles" => "styles.xml",
        "numbering" => "numbering.xml",
        "footnotes" => "footnotes.xml",
        "header" => "header1.xml",
        "footer" => "footer1.xml"
      }
      list =
        fixed.map do |type, target|
          "<Relationship Id=\"#{type}\" Type=\"#{R}/#{type}\" Target=\"#{target}\"/>"
        end
      list +=
        LINKS.map do |id, target|
          "<Relationship Id=\"#{id}\" Type=\"#{R}/hyperlink\" Target=\"#{target}\" TargetMode=\"External\"/>"
        end
      list +=
        @pictures.uniq.map do |name|
          "<Relationship Id=\"#{name}\" Type=\"#{R}/image\" Target=\"media/#{name}.png\"/>"
        end
      "#{HEAD}<Relationships " \
        "xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">#{list.join}</Relationships>"
    end

    def package_relations
      "#{HEAD}<Relationships " \
        "xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"d\" " \
        "Type=\"#{R}/" \
        "officeDocument\" Target=\"word/document.xml\"/>" \
        "<Relationship Id=\"c\" " \
        "Type=\"http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties\" " \
        "Target=\"docProps/core.xml\"/></Relationships>"
    end

    def types
      word = "application/vnd.openxmlformats-officedocument.wordprocessingml"
      parts = {
        "document.xml" => "document.main",
        "styles.xml" => "styles",
        "numbering.xml" => "numbering",
        "footnotes.xml" => "footnotes",
        "header1.xml" => "header",
        "footer1.xml" => "footer"
      }
      list =
        parts.map do |name, type|
          "<Override PartName=\"/word/#{name}\" ContentType=\"#{word}.#{type}+xml\"/>"
        end
      "#{HEAD}<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default " \
        "Extension=\"rels\" " \
        "ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Default " \
        "Extension=\"xml\" ContentType=\"application/xml\"/><Default Extension=\"png\" " \
        "ContentType=\"image/png\"/>" \
        "#{list.join}<Override PartName=\"/docProps/core.xml\" " \
        "ContentType=\"application/vnd.openxmlformats-package.core-properties+xml\"/></Types>"
    end

    def core(title)
      "#{HEAD}<cp:coreProperties " \
        "xmlns:cp=\"http://schemas.openxmlformats.org/package/2006/metadata/core-properties\" " \
        "xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><dc:title>#{escape(title)}</dc:title></cp:coreProperties>"
    end

    def escape(text) = text.gsub("&", "&amp;").gsub("<", "&lt;").gsub('"', "&quot;")

    def zip(parts)
      Zip::OutputStream
        .write_buffer do |stream|
          parts.each do |name, bytes|
            stream.put_next_entry(name)
            stream.write(bytes)
          end
        end
        .string
    end
  end
end
