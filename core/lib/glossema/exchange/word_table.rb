# A DOCX that holds a title, some paragraphs and one table, made from nothing; and the rows of the tables of
# any DOCX. What was inserted with tracked changes counts, what was deleted does not.
module Glossema
  module Exchange
    class WordTable
      W, WIDTH = WordPage::W, WordPage::WIDTH
      # A column: its heading, its share of the width (percent), the language of its text or nil.
      Column = Struct.new(:heading, :share, :lang, keyword_init: true)
      TYPES = <<~XML.freeze
        <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
        <Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">
        <Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
        <Default Extension="xml" ContentType="application/xml"/>
        <Override PartName="/word/document.xml"
          ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/>
        <Override PartName="/word/styles.xml"
          ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.styles+xml"/>
        </Types>
      XML
      RELATIONS = <<~XML.freeze
        <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
        <Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
          <Relationship Id="rId1"
            Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument"
            Target="word/document.xml"/>
        </Relationships>
      XML
      OF_DOCUMENT = <<~XML.freeze
        <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
        <Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
          <Relationship Id="rId1"
            Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles"
            Target="styles.xml"/>
        </Relationships>
      XML
      STYLES = <<~XML.freeze
        <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
        <w:styles xmlns:w="#{W}">
        <w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii="Calibri" w:hAnsi="Calibri" w:cs="Calibri"/>
          <w:sz w:val="20"/></w:rPr></w:rPrDefault><w:pPrDefault><w:pPr><w:spacing w:after="80"/></w:pPr>
          </w:pPrDefault></w:docDefaults>
        <w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/></w:style>
        <w:style w:type="paragraph" w:styleId="Title"><w:name w:val="Title"/><w:basedOn w:val="Normal"/>
          <w:pPr><w:spacing w:after="160"/></w:pPr><w:rPr><w:b/><w:sz w:val="32"/></w:rPr></w:style>
        <w:style w:type="paragraph" w:styleId="TableHeading"><w:name w:val="Table Heading"/>
          <w:basedOn w:val="Normal"/><w:rPr><w:b/></w:rPr></w:style>
        <w:style w:type="table" w:default="1" w:styleId="TableNormal"><w:name w:val="Normal Table"/>
          <w:tblPr><w:tblCellMar><w:top w:w="40" w:type="dxa"/><w:left w:w="100" w:type="dxa"/>
          <w:bottom w:w="40" w:type="dxa"/><w:right w:w="100" w:type="dxa"/></w:tblCellMar></w:tblPr>
          </w:style>
        </w:styles>
      XML

      class << self
        # The rows of all tables of a DOCX, each a list of cell texts. Raises Refused "damaged".
        def rows(bytes, name)
          document = Formats::Container.new(bytes, name).xml("word/document.xml")
          raise Refused.new("damaged.no-main-part", name: name) unless document

          document.xpath("//w:tbl//w:tr", w: W).map do |row|
            row.xpath("./w:tc|./w:sdt/w:sdtContent/w:tc", w: W).map { |cell| text(cell) }
          end
        end

        private

        def text(cell)
          cell.xpath(".//w:p", w: W).map { |paragraph| line(paragraph) }.join("\n").strip
        end

        def line(paragraph)
          parts = ".//w:t[not(ancestor::w:del or ancestor::w:moveFrom)] | .//w:tab | .//w:br"
          paragraph.xpath(parts, w: W).map do |node|
            { "tab" => "\t", "br" => "\n" }.fetch(node.name) { node.text }
          end.join
        end
      end

      # columns: [Column …]; rows: lists of texts, one for each column.
      def initialize(title:, paragraphs:, columns:, rows:)
        @title, @paragraphs, @columns, @rows = title, paragraphs, columns, rows
      end

      def bytes
        parts = {
          "[Content_Types].xml" => TYPES, "_rels/.rels" => RELATIONS, "word/document.xml" => document,
          "word/_rels/document.xml.rels" => OF_DOCUMENT, "word/styles.xml" => STYLES
        }
        WordPage.zipped(parts)
      end

      private

      def document
        WordPage.built("document") { |xml| xml["w"].body { body(xml["w"]) } }
      end

      def body(xml)
        paragraph(xml, @title, style: "Title")
        @paragraphs.each { |text| paragraph(xml, text) }
        xml["w"].tbl do
          WordPage.layout(xml, @columns.map { |column| width(column) })
          row(xml, @columns.map(&:heading), heading: true)
          @rows.each { |cells| row(xml, cells) }
        end
        paragraph(xml, "")
        xml["w"].sectPr { WordPage.across(xml) }
      end

      def width(column) = WIDTH * column.share / 100

      def row(xml, cells, heading: false)
        xml["w"].tr do
          xml["w"].trPr { heading ? xml["w"].tblHeader : xml["w"].cantSplit }
          @columns.zip(cells) do |column, text|
            xml["w"].tc do
              xml["w"].tcPr { xml["w"].tcW("w:w" => width(column), "w:type" => "dxa") }
              text.to_s.split("\n", -1).then { |lines| lines.empty? ? [""] : lines }.each do |line|
                paragraph(xml, line, style: heading ? "TableHeading" : nil, lang: heading ? nil : column.lang)
              end
            end
          end
        end
      end

      def paragraph(xml, text, style: nil, lang: nil)
        backwards = lang && Languages.right_to_left?(lang)
        xml["w"].p do
          xml["w"].pPr do
            xml["w"].pStyle("w:val" => style) if style
            xml["w"].bidi if backwards
          end
          next if text.empty?

          xml["w"].r do
            xml["w"].rPr do
              xml["w"].rtl if backwards
              xml["w"].lang("w:val" => lang, **(backwards ? { "w:bidi" => lang } : {})) if lang
            end
            xml["w"].t(Content.holdable(text), "xml:space" => "preserve")
          end
        end
      end
    end
  end
end
