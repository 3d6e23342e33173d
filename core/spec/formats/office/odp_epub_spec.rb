# ODP and EPUB: what is read in which order, and by which options.
RSpec.describe Glossema::Formats::Odp do
  spaces =
    %w[office text table style fo draw svg presentation]
      .map { |name| "xmlns:#{name}=\"urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0\"" }
      .join(" ")
  frame = ->(text, attributes = "") do
    "<draw:frame #{attributes}><draw:text-box><text:p>#{text}</text:p></draw:text-box></draw:frame>"
  end
  slides =
    "<draw:page draw:name=\"a\">#{frame["Title", 'presentation:class="title"']}#{frame["Text"]}" \
      "#{frame["", 'presentation:class="outline" presentation:placeholder="true"']}" \
      "<draw:custom-shape><text:p>Shape</text:p><svg:desc>A bicycle</svg:desc></draw:custom-shape>" \
      "<draw:frame><table:table><table:table-row><table:table-cell><text:p>Cell</text:p></table:table-cell>" \
      "</table:table-row></table:table></draw:frame>" \
      "<presentation:notes>#{frame["Said", 'presentation:class="notes"']}</presentation:notes></draw:page>" \
      "<draw:page draw:name=\"b\" draw:style-name=\"H\">#{frame["Hidden"]}</draw:page>"

  define_method(:opened) do |**options|
    styles =
      "<style:style style:name=\"H\" style:family=\"drawing-page\"><style:drawing-page-properties " \
        "presentation:visibility=\"hidden\"/></style:style>"
    bytes =
      zip(
        "mimetype" => described_class::MEDIA_TYPE,
        "META-INF/manifest.xml" => "<m/>",
        "styles.xml" =>
          "<office:document-styles #{spaces}><office:master-styles><style:master-page " \
          "style:name=\"M\">#{frame["Master"]}</style:master-page></office:master-styles>" \
          "</office:document-styles>",
        "content.xml" =>
          "<office:document-content #{spaces}><office:automatic-styles>#{styles}</office:automatic-styles><" \
          "office:body><office:presentation>#{slides}</office:presentation></office:body>" \
          "</office:document-content>"
      )
    Glossema::Document.new(bytes, name: "a.odp", language: "en", options: options.transform_keys(&:to_s))
  end

  it "reads slides in order with their shapes and tables" do
    document = opened
    expect(document.segments.map { |segment| [segment.unit.block, segment.content.text] }).to eq(
      [%w[heading-1 Title], %w[text-box Text], %w[text-box Shape], ["alt-text", "A bicycle"], %w[cell Cell]]
    )
    expect(document.segments.last.unit.path).to eq("slide 1 · row 1 · column 1")
    expect(same(document)).to eq(document.file.container.bytes)
    pseudo(document)
    expect(document.preview { |segment| segment.content.text }).to include(
      "<section class=\"slide\"><p class=\"number\">slide 1</p><h1>Title</h1><p>Text</p>"
    )
  end

  { notes: "Said", hidden_slides: "Hidden", masters: "Master" }.each do |option, text|
    it("takes #{option} only when asked") do
      expect(written_of(opened)).not_to include(text)
      document = opened(option => true)
      expect(written_of(document)).to include(text)
      pseudo(document)
    end
  end
end

RSpec.describe Glossema::Formats::Epub do
  page = ->(body, title = "T") do
    "<?xml version=\"1.0\"?><html xmlns=\"http://www.w3.org/1999/xhtml\"><head>" \
      "<title>#{title}</title></head><body>#{body}</body></html>"
  end
  define_method(:book) do
    zip(
      "mimetype" => "application/epub+zip",
      "META-INF/container.xml" =>
        "<container><rootfiles><rootfile full-path=\"O/c.opf\" " \
        "media-type=\"application/oebps-package+xml\"/></rootfiles></container>",
      "O/c.opf" =>
        "<package><metadata " \
        "xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><dc:title>Kilns</dc:title><dc:creator>P. " \
        "Rook</dc:creator><dc:language>en-GB</dc:language></metadata><manifest>" \
        "<item id=\"b\" href=\"two%20b.xhtml\" media-type=\"application/xhtml+xml\"/><item id=\"a\" " \
        "href=\"t/one.xhtml\" media-type=\"application/xhtml+xml\"/><item id=\"n\" href=\"toc.ncx\" " \
        "media-type=\"application/x-dtbncx+xml\"/>" \
        "<item id=\"i\" href=\"i.png\" media-type=\"image/png\"/></manifest><spine><itemref " \
        "idref=\"a\"/><itemref idref=\"b\"/></spine></package>",
      "O/t/one.xhtml" => page["<p>First <b>one</b>.</p>"],
      "O/two b.xhtml" => page["<p>Second.</p>"],
      "O/toc.ncx" =>
        "<ncx><docTitle><text>Kilns</text></docTitle><navMap><navPoint><navLabel><text>One</text>" \
        "</navLabel></navPoint></navMap></ncx>",
      "O/i.png" => "\x89PNG"
    )
  end

  it "reads pages in their order, contents and title, and says its language" do
    document = Glossema::Document.new(book, name: "a.epub")
    expect(document.language).to eq("en-GB")
    expect(written_of(document)).to eq(["T", "First {1}one{/1}.", "T", "Second.", "Kilns", "One", "Kilns"])
    expect(same(document)).to eq(document.file.container.bytes)
  end

  it "writes what changed and nothing else, and names the new language" do
    document = Glossema::Document.new(book, name: "a.epub")
    written = put(document, nil, "{1}Uno{/1} prima.", nil, nil, nil, nil, "Forni")
    parts =
      Zip::File
        .open_buffer(StringIO.new(written.b))
        .entries
        .to_h { |entry| [entry.name, entry.get_input_stream.read] }
    expect(parts.keys).to eq(parts_of(book).keys)
    expect(parts["O/t/one.xhtml"]).to include("<p><b>Uno</b> prima.</p>")
    expect(parts["O/c.opf"]).to include("<dc:title>Forni</dc:title>").and include(
            "<dc:creator>P. Rook</dc:creator>"
          ).and include("<dc:language>it</dc:language>")
    expect(parts["O/two b.xhtml"]).to eq(parts_of(book)["O/two b.xhtml"].b)
  end

  it "turns its pages with its text, and back" do
    document = Glossema::Document.new(book, name: "a.epub")
    turned = pseudo(document, target_language: "ar").b
    expect(parts_of(turned)["O/c.opf"].b).to include('<spine page-progression-direction="rtl">')
    read = Glossema::Document.new(turned, name: "a.epub")
    hebrew = read.segments.to_h { |segment| [segment.id, Glossema::Content.text("\u05DB\u05DC\u05D1")] }
    back = Glossema::Document.new(read.write(hebrew, target_language: "he"), name: "a.epub")
    expect(parts_of(put(back, "Forno").b)["O/c.opf"].b).to include("<spine>")
  end
end
