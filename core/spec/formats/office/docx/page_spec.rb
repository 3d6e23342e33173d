# The preview of a DOCX: simple clean HTML, a place for each segment.
RSpec.describe Glossema::Formats::Docx::Page do
  numbering = <<~XML
    <w:numbering #{Files::NAMESPACES}>
    <w:abstractNum w:abstractNumId="1"><w:lvl w:ilvl="0"><w:numFmt w:val="decimal"/></w:lvl><w:lvl w:ilvl="1"><w:numFmt w:val="bullet"/></w:lvl></w:abstractNum>
    <w:num w:numId="7"><w:abstractNumId w:val="1"/></w:num></w:numbering>
  XML

  def item(text, level = 0)
    "<w:p><w:pPr><w:numPr><w:ilvl w:val=\"#{level}\"/><w:numId w:val=\"7\"/></w:numPr></w:pPr>#{run(text)}" \
      "</w:p>"
  end

  def preview(body, parts = {})
    document(body, parts).preview do |segment|
      "<span data-segment=\"#{segment.id}\">#{Glossema::Html.render(segment.content)}</span>"
    end
  end

  it "numbers lists and marks their levels" do
    html = preview(item("One") + item("Under one", 1) + item("Two"), "word/numbering.xml" => numbering)
    expect(html.scan(/--level:(\d)" data-mark="([^"]+)"/)).to eq([%w[0 1.], %w[1 •], %w[0 2.]])
  end

  it "shows merged cells once and tables in tables" do
    cell = ->(inner, properties = "") { "<w:tc><w:tcPr>#{properties}</w:tcPr>#{inner}</w:tc>" }
    inner = "<w:tbl><w:tr>#{cell.call(paragraph(run("deep")))}</w:tr></w:tbl>"
    table =
      "<w:tbl><w:tr>#{cell.call(paragraph(run("wide")), '<w:gridSpan w:val="2"/>')}</w:tr>" \
        "<w:tr>#{cell.call(inner,
          '<w:vMerge w:val="restart"/>')}#{cell.call(paragraph(run("right")))}</w:tr>" \
        "<w:tr>#{cell.call(paragraph(run("never shown")), "<w:vMerge/>")}" \
"#{cell.call(paragraph(run("below")))}</w:tr></w:tbl>"
    html = preview(table)
    expect(html).to include('<td colspan="2">', "<td><table><tr><td>")
    expect(html.gsub(/<[^>]+>/, " ").split).to eq(%w[wide deep right below])
  end

  it "puts segments of one paragraph side by side and keeps what stands between them" do
    html =
      preview(
        paragraph(
          run("One. "),
          run("Two.", "<w:b/>"),
          "<w:r><w:br/></w:r>",
          run("Three <now>.".gsub("<", "&lt;").gsub(">", "&gt;"))
        )
      )
    expect(html).to eq(
      '<p><span data-segment="document:1:1">One.</span> <b><span ' \
        'data-segment="document:1:2">Two.</span></b><br>' \
        '<span data-segment="document:1:3">Three &lt;now&gt;.</span></p>'
    )
  end

  it "sets headers, footers and notes apart, and leaves out those without text" do
    html =
      preview(
        paragraph(run("Body")),
        "word/header1.xml" => "<w:hdr #{Files::NAMESPACES}>#{paragraph(run("Head"))}</w:hdr>",
        "word/footer1.xml" => "<w:ftr #{Files::NAMESPACES}><w:p/></w:ftr>"
      )
    expect(html.scan(/<section class="aside (\w+)">/).flatten).to eq(["header"])
  end

  it "never lets text become markup" do
    html = preview(paragraph(run("&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;more&quot;")))
    expect(html).to include("&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;more&quot;")
    expect(html).not_to include("<script")
  end

  it "shows a picture once, beside its paragraph" do
    picture =
      '<w:r><w:drawing><a:blip xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" ' \
        'r:embed="p"/></w:drawing></w:r>'
    parts = parts_of(docx(paragraph(run("Seen"), picture)))
    relations =
      parts["word/_rels/document.xml.rels"].sub(
        "</Relationships>",
        '<Relationship Id="p" Type="t/image" Target="media/p.png"/></Relationships>'
      )
    bytes = zip(parts.merge("word/_rels/document.xml.rels" => relations, "word/media/p.png" => "PNG"))
    html =
      Glossema::Document.new(bytes, name: "a.docx", language: "en").preview { |segment| segment.content.text }
    expect(html).to eq(
      "<p>Seen</p><figure><img alt=\"\" src=\"data:image/png;base64,#{["PNG"].pack("m0")}\"></figure>"
    )
  end
end
