# The parts of a review sheet that hold no text of the project: types, relations, styles, footer, settings.
module Glossema
  module Review
    module SheetParts
      W = Exchange::WordPage::W
      OFFICE = "http://schemas.openxmlformats.org/officeDocument/2006".freeze
      PACKAGE = "http://schemas.openxmlformats.org/package/2006".freeze
      HEAD = %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n).freeze
      MAIN = "application/vnd.openxmlformats-officedocument.wordprocessingml".freeze
      # The styles by which a cell and a code are known when the sheet is back.
      TARGET, CODE, TOKEN = "ReviewTarget", "ReviewCode", "ReviewRow"

      PARTS = { "document" => "document.main", "styles" => "styles", "settings" => "settings",
                "comments" => "comments", "footer1" => "footer" }.freeze

      module_function

      def types
        overrides = PARTS.map do |part, type|
          %(<Override PartName="/word/#{part}.xml" ContentType="#{MAIN}.#{type}+xml"/>)
        end
        "#{HEAD}<Types xmlns=\"#{PACKAGE}/content-types\">" \
          '<Default Extension="rels" ' \
          'ContentType="application/vnd.openxmlformats-package.relationships+xml"/>' \
          "<Default Extension=\"xml\" ContentType=\"application/xml\"/>#{overrides.join}" \
          '<Override PartName="/docProps/core.xml" ' \
          'ContentType="application/vnd.openxmlformats-package.core-properties+xml"/>' \
          '<Override PartName="/docProps/custom.xml" ' \
          'ContentType="application/vnd.openxmlformats-officedocument.custom-properties+xml"/></Types>'
      end

      def relations
        relations_of(["#{OFFICE}/relationships/officeDocument", "word/document.xml"],
          ["#{PACKAGE}/relationships/metadata/core-properties", "docProps/core.xml"],
          ["#{OFFICE}/relationships/custom-properties", "docProps/custom.xml"])
      end

      def document_relations
        relations_of(*%w[styles settings comments footer].map do |type|
          ["#{OFFICE}/relationships/#{type}", "#{type == "footer" ? "footer1" : type}.xml"]
        end)
      end

      def relations_of(*list)
        rows = list.each_with_index.map do |(type, target), index|
          %(<Relationship Id="rId#{index + 1}" Type="#{type}" Target="#{target}"/>)
        end
        %(#{HEAD}<Relationships xmlns="#{PACKAGE}/relationships">#{rows.join}</Relationships>)
      end

      def settings(tracking:)
        %(#{HEAD}<w:settings xmlns:w="#{W}">#{"<w:trackRevisions/>" if tracking}</w:settings>)
      end

      def footer
        runs = [
          '<w:r><w:fldChar w:fldCharType="begin"/></w:r>',
          '<w:r><w:instrText xml:space="preserve"> PAGE </w:instrText></w:r>',
          '<w:r><w:fldChar w:fldCharType="separate"/></w:r><w:r><w:t>1</w:t></w:r>',
          '<w:r><w:fldChar w:fldCharType="end"/></w:r>'
        ]
        %(#{HEAD}<w:ftr xmlns:w="#{W}"><w:p><w:pPr><w:jc w:val="right"/></w:pPr>#{runs.join}</w:p></w:ftr>)
      end

      def core(title, time)
        spaces = %(xmlns:cp="#{PACKAGE}/metadata/core-properties" ) +
          'xmlns:dc="http://purl.org/dc/elements/1.1/" ' \
            'xmlns:dcterms="http://purl.org/dc/terms/" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance"'
        %(#{HEAD}<cp:coreProperties #{spaces}><dc:title>#{Html.escape(title)}</dc:title>) +
          %(<dcterms:created xsi:type="dcterms:W3CDTF">#{time}</dcterms:created></cp:coreProperties>)
      end

      # By what the sheet itself is told.
      def custom(sheet_id)
        types = "#{OFFICE}/docPropsVTypes"
        %(#{HEAD}<Properties xmlns="#{OFFICE}/custom-properties" xmlns:vt="#{types}">) +
          '<property fmtid="{D5CDD505-2E9C-101B-9397-08002B2CF9AE}" pid="2" name="ReviewSheet">' \
            "<vt:lpwstr>#{Html.escape(sheet_id)}</vt:lpwstr></property></Properties>"
      end

      def styles
        <<~XML
          #{HEAD}<w:styles xmlns:w="#{W}">
          <w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii="Calibri" w:hAnsi="Calibri" w:cs="Calibri"/>
            <w:sz w:val="21"/><w:szCs w:val="21"/></w:rPr></w:rPrDefault><w:pPrDefault><w:pPr>
            <w:spacing w:after="60"/></w:pPr></w:pPrDefault></w:docDefaults>
          <w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/></w:style>
          <w:style w:type="paragraph" w:styleId="Title"><w:name w:val="Title"/><w:basedOn w:val="Normal"/>
            <w:pPr><w:spacing w:after="160"/></w:pPr><w:rPr><w:b/><w:sz w:val="32"/></w:rPr></w:style>
          <w:style w:type="paragraph" w:customStyle="1" w:styleId="ReviewHeading">
            <w:name w:val="Review Heading"/><w:basedOn w:val="Normal"/><w:rPr><w:b/></w:rPr></w:style>
          <w:style w:type="paragraph" w:customStyle="1" w:styleId="ReviewFile"><w:name w:val="Review File"/>
            <w:basedOn w:val="Normal"/><w:rPr><w:b/><w:color w:val="40535C"/></w:rPr></w:style>
          <w:style w:type="paragraph" w:customStyle="1" w:styleId="ReviewSource">
            <w:name w:val="Review Source"/><w:basedOn w:val="Normal"/><w:rPr><w:color w:val="40535C"/>
            </w:rPr></w:style>
          <w:style w:type="paragraph" w:customStyle="1" w:styleId="#{TARGET}">
            <w:name w:val="Review Target"/><w:basedOn w:val="Normal"/></w:style>
          <w:style w:type="paragraph" w:customStyle="1" w:styleId="ReviewNote"><w:name w:val="Review Note"/>
            <w:basedOn w:val="Normal"/><w:rPr><w:i/><w:sz w:val="18"/></w:rPr></w:style>
          <w:style w:type="character" w:customStyle="1" w:styleId="#{CODE}"><w:name w:val="Review Code"/>
            <w:rPr><w:color w:val="5B3FBF"/><w:sz w:val="16"/>
            <w:shd w:val="clear" w:color="auto" w:fill="E8E4F7"/><w:noProof/></w:rPr></w:style>
          <w:style w:type="character" w:customStyle="1" w:styleId="#{TOKEN}"><w:name w:val="Review Row"/>
            <w:rPr><w:vanish/><w:noProof/></w:rPr></w:style>
          <w:style w:type="table" w:default="1" w:styleId="TableNormal"><w:name w:val="Normal Table"/>
            <w:tblPr><w:tblCellMar><w:top w:w="50" w:type="dxa"/><w:left w:w="100" w:type="dxa"/>
            <w:bottom w:w="50" w:type="dxa"/><w:right w:w="100" w:type="dxa"/></w:tblCellMar></w:tblPr>
            </w:style>
          </w:styles>
        XML
      end
    end
  end
end
