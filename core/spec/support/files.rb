# Makes real documents for specs and finds the samples.
module Files
  SAMPLES = File.expand_path("../../../../shared/samples", __dir__)
  DEMO = File.expand_path("../../../demo/formats", __dir__)
  W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main".freeze
  NAMESPACES =
    %(xmlns:w="#{W}" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" ) +
    %(xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006" ) +
    %(xmlns:wps="http://schemas.microsoft.com/office/word/2010/wordprocessingShape" ) +
    %(xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" ) +
    %(xmlns:v="urn:schemas-microsoft-com:vml")
  RELATION = "http://schemas.openxmlformats.org/officeDocument/2006/relationships".freeze
  RELATIONSHIPS = "http://schemas.openxmlformats.org/package/2006/relationships".freeze
  CONTENT_TYPES =
    %(<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">) +
    %(<Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.) +
    %(wordprocessingml.document.main+xml"/></Types>)
  STYLES = <<~XML.freeze
    <w:styles #{NAMESPACES}><w:docDefaults><w:rPrDefault>
    <w:rPr><w:sz w:val="22"/><w:lang w:val="en-GB"/></w:rPr></w:rPrDefault></w:docDefaults>
    <w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/></w:style>
    <w:style w:type="paragraph" w:styleId="Kop1"><w:name w:val="heading 1"/><w:basedOn w:val="Normal"/>
    <w:rPr><w:b/></w:rPr></w:style>
    <w:style w:type="character" w:styleId="Strong"><w:name w:val="Strong"/><w:rPr><w:b/></w:rPr></w:style>
    <w:style w:type="character" w:styleId="Nothing"><w:name w:val="Nothing"/></w:style></w:styles>
  XML

  SHEET_SPACES =
    %(xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="#{RELATION}").freeze
  SHEET_TYPES =
    %(<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">) +
    %(<Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.) +
    %(spreadsheetml.sheet.main+xml"/></Types>)

  module_function

  # body: the XML inside w:body; parts: further parts {path => XML}, related as their name says.
  def docx(body, parts = {})
    related =
      parts.keys.each_with_index.map do |path, i|
        type = File.basename(path, ".xml").delete("0-9")
        relationship("x#{i}", type, File.basename(path))
      end
    zip(
      "[Content_Types].xml" => CONTENT_TYPES,
      "_rels/.rels" => relationships(relationship("r1", "officeDocument", "word/document.xml")),
      "word/_rels/document.xml.rels" => relationships(relationship("s", "styles", "styles.xml"), *related),
      "word/styles.xml" => STYLES,
      "word/document.xml" =>
        %(<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n) +
          %(<w:document #{NAMESPACES}><w:body>#{body}</w:body></w:document>),
      **parts
    )
  end

  # sheets: {name => XML inside worksheet}; strings: XML of si elements; parts: further parts {path => XML};
  # states: {name => attributes}.
  def xlsx(sheets, strings = "", parts = {}, states = {})
    names = sheets.keys
    paths = names.each_index.map { |i| "worksheets/sheet#{i + 1}.xml" }
    related = paths.each_with_index.map { |path, i| relationship("s#{i + 1}", "worksheet", path) }
    listed = names.each_with_index.map do |name, i|
      %(<sheet name="#{name}" sheetId="#{i + 1}" #{states[name]} r:id="s#{i + 1}"/>)
    end
    zip(
      "[Content_Types].xml" => SHEET_TYPES,
      "_rels/.rels" => relationships(relationship("r1", "officeDocument", "xl/workbook.xml")),
      "xl/_rels/workbook.xml.rels" =>
        relationships(*related, relationship("t", "sharedStrings", "sharedStrings.xml")),
      "xl/workbook.xml" => "<workbook #{SHEET_SPACES}><sheets>#{listed.join}</sheets></workbook>",
      "xl/sharedStrings.xml" => "<sst #{SHEET_SPACES} uniqueCount=\"9\">#{strings}</sst>",
      **paths.zip(sheets.values).to_h { |path, inner|
        ["xl/#{path}", "<worksheet #{SHEET_SPACES}>#{inner}</worksheet>"]
      },
      **parts
    )
  end

  def zip(parts)
    Zip::OutputStream
      .write_buffer do |stream|
        parts.each do |name, text|
          stream.put_next_entry(name)
          stream.write(text)
        end
      end
      .string
  end

  def parts_of(bytes)
    Zip::File
      .open_buffer(StringIO.new(bytes))
      .entries
      .reject(&:directory?)
      .to_h do |entry|
        [
          entry.name,
          entry.get_input_stream.read.force_encoding(entry.name.end_with?("xml", "rels") ? "UTF-8" : "BINARY")
        ]
      end
  end

  def relationships(*rows) = %(<Relationships xmlns="#{RELATIONSHIPS}">#{rows.join}</Relationships>)

  def relationship(id, type, target)
    %(<Relationship Id="#{id}" Type="#{RELATION}/#{type}" Target="#{target}"/>)
  end

  def run(text, properties = "")
    look = properties.empty? ? "" : "<w:rPr>#{properties}</w:rPr>"
    %(<w:r>#{look}<w:t xml:space="preserve">#{text}</w:t></w:r>)
  end

  def paragraph(*runs) = "<w:p>#{runs.join}</w:p>"
  def document(body, parts = {}) = Glossema::Document.new(docx(body, parts), name: "made.docx")
  def sources(body) = document(body).segments.map { |segment| segment.content.written }
end
