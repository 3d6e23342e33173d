# A review sheet: a DOCX with a row for each segment, to be corrected in any word processor. Number and source
# are locked; codes are short marked runs; each row carries hidden by what it is found again.
require "nokogiri"
require "zip"

module Glossema
  module Review
    class Sheet
      W = SheetParts::W
      # Shares of the width, in percent; with the notes or without them.
      SHARES = { true => [6, 38, 40, 16], false => [6, 46, 48] }.freeze
      WIDTH = Exchange::WordPage::WIDTH
      TERMS = "Glossema".freeze

      # id: of the sheet, by which it is told from others; title; languages: [source tag, target tag]; rows:
      # [Row …] in order. instructions: parts of Instructions::PARTS, or [] for none; reader: tag of the
      # language they are in; tracking: are changes recorded? notes: is there a column for them? terms: as
      # comments?
      def initialize(id:, title:, languages:, rows:, instructions: Instructions::PARTS, reader: nil,
        tracking: true, notes: true, terms: true)
        @id, @title, @languages, @rows = id, title, languages, rows
        @instructions, @reader = instructions, reader || languages[1]
        @tracking, @notes, @terms = tracking, notes, terms
        @comments = []
      end

      # at: Time that it says it was made.
      def bytes(at: Time.now)
        @time = at.utc.strftime("%Y-%m-%dT%H:%M:%SZ")
        body = document
        parts = {
          "[Content_Types].xml" => SheetParts.types, "_rels/.rels" => SheetParts.relations,
          "word/document.xml" => body, "word/_rels/document.xml.rels" => SheetParts.document_relations,
          "word/styles.xml" => SheetParts.styles, "word/comments.xml" => comments,
          "word/settings.xml" => SheetParts.settings(tracking: @tracking),
          "word/footer1.xml" => SheetParts.footer, "docProps/core.xml" => SheetParts.core(@title, @time),
          "docProps/custom.xml" => SheetParts.custom(@id)
        }
        Exchange::WordPage.zipped(parts)
      end

      private

      def document
        Exchange::WordPage.built("document") do |xml|
          xml["w"].body do
            paragraph(xml, "Title") { run(xml, @title) }
            texts = Instructions.fetch(@reader, @instructions)
            texts.each { |text| paragraph(xml, nil, @reader) { run(xml, text, lang: @reader) } }
            table(xml)
            paragraph(xml)
            section(xml)
          end
        end
      end

      def section(xml)
        xml["w"].sectPr do
          # The footer is the fourth relation of the document.
          xml["w"].footerReference("w:type" => "default", "r:id" => "rId4",
            "xmlns:r" => "#{SheetParts::OFFICE}/relationships")
          Exchange::WordPage.across(xml)
        end
      end

      def table(xml)
        xml["w"].tbl do
          Exchange::WordPage.layout(xml, widths)
          heading(xml)
          file = nil
          @rows.each do |row|
            file_row(xml, file = row.file) if row.file && row.file != file
            row(xml, row)
          end
        end
      end

      def widths = SHARES.fetch(@notes).map { |share| WIDTH * share / 100 }

      def heading(xml)
        headings = Instructions.headings(@reader)
        xml["w"].tr do
          xml["w"].trPr do
            xml["w"].cantSplit
            xml["w"].tblHeader
          end
          widths.zip(%w[number source target notes]) do |width, name|
            cell(xml, width) { paragraph(xml, "ReviewHeading", @reader) { run(xml, headings.fetch(name)) } }
          end
        end
      end

      def file_row(xml, name)
        xml["w"].tr do
          xml["w"].tc do
            xml["w"].tcPr do
              xml["w"].tcW("w:w" => WIDTH, "w:type" => "dxa")
              xml["w"].gridSpan("w:val" => widths.size)
            end
            paragraph(xml, "ReviewFile") { run(xml, name) }
          end
        end
      end

      def row(xml, row)
        number, source, target, notes = widths
        xml["w"].tr do
          xml["w"].trPr { xml["w"].cantSplit }
          cell(xml, number) { number(xml, row) }
          cell(xml, source) { source(xml, row) }
          cell(xml, target) { target(xml, row) }
          cell(xml, notes) { notes(xml, row) } if @notes
        end
      end

      def number(xml, row)
        paragraph(xml, "ReviewSource") do
          locked(xml) do
            run(xml, row.number.to_s)
            run(xml, row.token, style: SheetParts::TOKEN)
          end
        end
      end

      def source(xml, row)
        about = @terms && row.terms.to_a.any? ? comment(row.terms) : nil
        paragraph(xml, "ReviewSource", @languages[0]) do
          commented(xml, about) { locked(xml) { runs(xml, row.source, @languages[0]) } }
        end
      end

      def target(xml, row)
        paragraph(xml, SheetParts::TARGET, @languages[1]) { runs(xml, row.target, @languages[1]) }
      end

      def notes(xml, row)
        row.notes.to_a.each { |text| paragraph(xml, "ReviewNote") { run(xml, text) } }
        paragraph(xml, "ReviewNote") if row.notes.to_a.empty?
      end

      def cell(xml, width)
        xml["w"].tc do
          xml["w"].tcPr { xml["w"].tcW("w:w" => width, "w:type" => "dxa") }
          yield
        end
      end

      # What a word processor that knows such things does not let be changed.
      def locked(xml)
        xml["w"].sdt do
          xml["w"].sdtPr { xml["w"].lock("w:val" => "sdtContentLocked") }
          xml["w"].sdtContent { yield }
        end
      end

      def runs(xml, content, lang)
        content.items.each { |item| item.is_a?(String) ? run(xml, item, lang: lang) : code(xml, item) }
      end

      def commented(xml, comment)
        return yield unless comment

        xml["w"].commentRangeStart("w:id" => comment)
        yield
        xml["w"].commentRangeEnd("w:id" => comment)
        xml["w"].r { xml["w"].commentReference("w:id" => comment) }
      end

      def code(xml, item) = run(xml, CodeMarks.mark(item), style: SheetParts::CODE)

      def paragraph(xml, style = nil, lang = nil)
        xml["w"].p do
          xml["w"].pPr do
            xml["w"].pStyle("w:val" => style) if style
            xml["w"].bidi if lang && Languages.right_to_left?(lang)
          end
          yield if block_given?
        end
      end

      def run(xml, text, style: nil, lang: nil)
        return if text.empty?

        backwards = lang && Languages.right_to_left?(lang)
        xml["w"].r do
          xml["w"].rPr do
            xml["w"].rStyle("w:val" => style) if style
            xml["w"].vanish if style == SheetParts::TOKEN
            xml["w"].rtl if backwards
            xml["w"].lang("w:val" => lang, **(backwards ? { "w:bidi" => lang } : {})) if lang
          end
          pieces(xml, Content.holdable(text))
        end
      end

      # Line breaks and tabs are elements of their own.
      def pieces(xml, text)
        text.split(/([\n\t])/).each do |piece|
          case piece
          when "\n" then xml["w"].br
          when "\t" then xml["w"].tab
          when "" then next
          else xml["w"].t(piece, "xml:space" => "preserve")
          end
        end
      end

      # Takes in a comment on terms; answers its number.
      def comment(terms)
        @comments << terms.map { |term, translations| "#{term}: #{translations.join(", ")}" }
        @comments.size - 1
      end

      def comments
        Exchange::WordPage.built("comments") do |xml|
          @comments.each_with_index do |lines, index|
            xml["w"].comment_("w:id" => index, "w:author" => TERMS, "w:initials" => "G", "w:date" => @time) do
              lines.each { |line| paragraph(xml) { run(xml, line) } }
            end
          end
        end
      end
    end
  end
end
