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
