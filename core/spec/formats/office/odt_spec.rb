# ODT: what becomes a segment, what becomes a code, and that everything else stays.
RSpec.describe Glossema::Formats::Odt do
  spaces =
    %w[office text table style fo xlink draw svg].to_h do |name|
      [name, "urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0"]
    end
  spaces["fo"] = "urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0"
  names = spaces.map { |name, uri| "xmlns:#{name}=\"#{uri}\"" }.join(" ")
  looks = {
    "B" => 'fo:font-weight="bold"',
    "I" => 'fo:font-style="italic"',
    "U" => 'style:text-underline-style="solid"',
    "N" => "",
    "L" => 'fo:language="nl"',
    "H" => 'text:display="none"',
    "P0" => 'fo:font-weight="normal"'
  }
  styles =
    looks
      .map do |name, properties|
        "<style:style style:name=\"#{name}\" style:family=\"text\"><style:text-properties #{properties}/>" \
          "</style:style>"
      end
      .join

  define_method(:odt) do |body, margins = "", manifest = ""|
    zip(
      "mimetype" => described_class::MEDIA_TYPE,
      "META-INF/manifest.xml" => "<m>#{manifest}</m>",
      "styles.xml" =>
        "<office:document-styles #{names}><office:styles><style:default-style " \
        "style:family=\"paragraph\"><style:text-properties fo:language=\"en\" " \
        "fo:country=\"GB\"/></style:default-style></office:styles>" \
        "<office:master-styles><style:master-page>#{margins}</style:master-page></office:master-styles>" \
        "</office:document-styles>",
      "content.xml" =>
        "<office:document-content #{names}><office:automatic-styles>#{styles}</office:automatic-styles>" \
        "<office:body><office:text>#{body}</office:text></office:body></office:document-content>"
    )
  end

  def opened(bytes) = Glossema::Document.new(bytes, name: "a.odt", language: "en")
  def span(style, text) = "<text:span text:style-name=\"#{style}\">#{text}</text:span>"
  def line(*inner) = "<text:p>#{inner.join}</text:p>"

  def proved(document, targets = nil)
    targets ||= document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
    Glossema::Proof
      .new(document, document.write(targets, target_language: "it-IT"), targets)
      .differences
      .map(&:message)
  end

  {
    "joins spans that look the same" => [
      "Check <text:span text:style-name=\"N\">the</text:span><text:span text:style-name=\"L\"> " \
        "brakes.</text:span>",
      "Check the brakes."
    ],
    "makes codes of what shows, nested too" => [
      "Use <text:span text:style-name=\"B\">two <text:span text:style-name=\"I\">red</text:span>" \
        "</text:span> straps.",
      "Use {1}two{/1} {2}red{/2} straps."
    ],
    "takes a look set off again for none" => ["a <text:span text:style-name=\"P0\">b</text:span> c", "a b c"],
    "folds white space, and keeps what was meant" => [
      "  One\n   two<text:s text:c=\"2\"/>three ",
      "One two  three"
    ],
    "makes codes of breaks, tabs, notes and fields" => [
      "One<text:line-break/>two<text:note><text:note-citation>1</text:note-citation><text:note-body/>" \
        "</text:note> <text:page-number>3</text:page-number> on<text:tab/>",
      "One{1/}two{2/} {3/} on"
    ],
    "reads links with their text" => [
      "See <text:a xlink:href=\"x\">our <text:span text:style-name=\"B\">site</text:span></text:a>.",
      "See {1}our {2}site{/2}{/1}."
    ],
    "sees no code in bookmarks and soft page breaks" => [
      "a<text:bookmark-start text:name=\"x\"/> b<text:soft-page-break/><text:bookmark-end " \
        "text:name=\"x\"/> c",
      "a b c"
    ],
    "leaves hidden text" => ["seen <text:span text:style-name=\"H\">secret </text:span>again", "seen again"]
  }.each do |name, (inner, expected)|
    it name do
      document = opened(odt(line(inner)))
      expect(document.segments.map { |segment| segment.content.written }).to eq([expected])
      expect(proved(document)).to eq([])
    end
  end

  it "finds text in headings, lists, tables, boxes, notes, headers and alternative texts" do
    body =
      "<text:h text:outline-level=\"2\">Head</text:h><text:list><text:list-item>#{line("Item")}" \
        "</text:list-item></text:list>" \
        "<table:table><table:table-row><table:table-cell>#{line("Cell")}</table:table-cell>" \
        "</table:table-row></table:table>" +
      line(
        "Text",
        "<draw:frame><draw:text-box>#{line("Boxed")}</draw:text-box><svg:desc>A " \
          "bicycle</svg:desc></draw:frame>"
      ) + line("More<text:note><text:note-body>#{line("Note")}</text:note-body></text:note> text") +
      "<text:table-of-content><text:index-body>#{line("Generated")}</text:index-body>" \
        "</text:table-of-content>" \
        "<text:tracked-changes><text:changed-region><text:deletion>#{line("Gone")}</text:deletion>" \
        "</text:changed-region></text:tracked-changes>"
    document = opened(odt(body, "<style:header>#{line("Top")}</style:header>"))
    expect(
      document.segments.map { |segment| [segment.unit.block, segment.content.written] }
    ).to contain_exactly(
      %w[heading-2 Head],
      %w[list-item Item],
      %w[cell Cell],
      %w[paragraph Text],
      %w[text-box Boxed],
      ["alt-text", "A bicycle"],
      ["paragraph", "More{1/} text"],
      %w[note Note],
      %w[header Top]
    )
    expect(proved(document)).to eq([])
    expect(document.preview { |segment| segment.content.text }).to eq(
      "<h2>Head</h2><p class=\"item\" style=\"--level:0\" " \
        "data-mark=\"•\">Item</p><table><tr><td><p>Cell</p></td></tr></table><p>Text</p><p>Boxed</p>" \
        "<p>More text</p><p>Note</p>"
    )
    expect(document.language).to eq("en")
  end

  it "takes comments and hidden text only when asked" do
    bytes =
      odt(
        line("Seen <office:annotation><text:p>Said</text:p></office:annotation>#{span("H", "secret ")}again")
      )
    expect(opened(bytes).segments.map { |segment| segment.content.text }).to eq(["Seen again"])
    document =
      Glossema::Document.new(
        bytes,
        name: "a.odt",
        language: "en",
        options: {
          "comments" => true,
          "hidden" => true
        }
      )
    expect(document.segments.map { |segment| [segment.unit.block, segment.content.text] }).to eq(
      [["paragraph", "Seen secret again"], %w[comment Said]]
    )
    expect(proved(document)).to eq([])
    expect(
      parts_of(
        document.write(
          document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
        )
      )[
        "content.xml"
      ]
    ).to include("Šàîď")
  end

  it "writes spaces so that they are read again" do
    document = opened(odt(line("One <text:span text:style-name=\"B\">two</text:span> three")))
    segment = document.segments.first
    target = Glossema::Content.parse("A  b{1} c  {/1}\u00A0d", segment.content)
    expect(proved(document, { segment.id => target })).to eq([])
    expect(parts_of(document.write({ segment.id => target }))["content.xml"]).to include(
      'A <text:s/>b<text:span text:style-name="B"> c <text:s/></text:span>'
    )
  end

  it "refuses what is locked" do
    expect { opened(odt(line("x"), "", "<manifest:encryption-data xmlns:manifest=\"m\"/>")) }.to raise_error(
      Glossema::Refused,
      /protected with a password/
    )
  end

  it "brings back whatever is put in, on random paragraphs" do
    random = Random.new(5)
    pick = ->(list) { list.sample(random: random) }
    inline =
      lambda do |depth|
        case random.rand(depth > 2 ? 3 : 8)
        when 0..2
          pick.call(["The", " deck. ", "Load it", " and ", "80 kg", "  ", "é&amp;"])
        when 3, 4
          span(pick.call(%w[B I U N L]), Array.new(2) { inline.call(depth + 1) }.join)
        when 5
          pick.call(
            [
              "<text:tab/>",
              "<text:line-break/>",
              "<text:s text:c=\"3\"/>",
              "<text:soft-page-break/>",
              "<text:date>1 May</text:date>"
            ]
          )
        when 6
          "<text:a xlink:href=\"#{random.rand(9)}\">#{inline.call(depth + 1)}</text:a>"
        else
          "<text:bookmark text:name=\"b#{random.rand(99)}\"/>"
        end
      end
    40.times do |round|
      document = opened(odt(Array.new(3) { line(Array.new(4) { inline.call(0) }.join) }.join))
      expect(document.write({})).to eq(document.file.container.bytes)
      expect([round, proved(document)]).to eq([round, []])
    end
  end

  it_behaves_like "a format on real documents", "odt"
end
