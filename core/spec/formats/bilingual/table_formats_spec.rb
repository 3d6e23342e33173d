# Tables: cells as units, columns that say something about others, tables that hold both languages.
RSpec.describe Glossema::Formats::Csv do
  it_behaves_like "texts read and written",
    "a.csv",
    "takes texts and leaves numbers, dates, addresses and money" => [
      "Name,Price,Day,Mail\n\"Rear seat, red\",12.50,2026-05-01,a@b.example\n\"Say \"\"hi\"\"\",€ " \
        "9,10:30,https://x.example\n",
      ["Name", "Price", "Day", "Mail", "Rear seat, red", "Say \"hi\""]
    ],
    "finds the separator, and keeps quotes and line ends" => [
      "a;b\r\n\"One\r\ntwo\";Three\r\n",
      %w[a b One two Three]
    ],
    "bears short rows and no last line end" => ["One,Two\nThree\n,Four", %w[One Two Three Four]]

  it "takes quotes inside of texts for what they are, and loses nothing behind them" do
    text = "\"Mal\" or \"Mau\"\t\"Böse\"\n6\" pipe\t\"a\tb\"\n\"open\tend\"s\n\"One\" \tTwo\n"
    document = open_text(text, "a.tsv")
    expect(document.units.map { |unit| unit.content.text }).to eq(
      ["\"Mal\" or \"Mau\"", "Böse", "6\" pipe", "a\tb", "\"open", "end\"s", "One", "Two"]
    )
    expect(put(document, "\"X\" y", "Z")).to start_with("\"X\" y\t\"Z\"\n6\" pipe")
    expect(written_of(open_text("a,\"b\" c\n", "a.csv"))).to eq(["a", "\"b\" c"])
    expect { open_text("a,\"b\nc", "a.csv") }.to raise_error(Glossema::Refused)
  end

  it "quotes what needs it" do
    expect(put(open_text("One,\"Two\"\n", "a.csv"), "Uno, due", "\"Due\"")).to eq(
      "\"Uno, due\",\"\"\"Due\"\"\"\n"
    )
  end

  it "takes the columns that are named, with keys, limits and notes from others" do
    document =
      open_text(
        "key,text,max,why\nk1,One,12,Be short\nk2,Two,,\n",
        "a.csv",
        columns: "text",
        context_column: "key",
        limit_column: "max",
        note_column: "D"
      )
    expect(document.units.map { |unit| [unit.id, unit.content.text, unit.key, unit.limit, unit.note] }).to eq(
      [["B2", "One", "k1", 12, "Be short"], ["B3", "Two", "k2", nil, nil]]
    )
    expect(written_of(open_text("a,b\nc,d\n", "a.csv", header: "keep"))).to eq(%w[c d])
    expect(written_of(open_text("a,b,c\n", "a.csv", columns: "A-B"))).to eq(%w[a b])
  end

  it "holds both languages where columns say so" do
    text = "id,Source,Target\n1,Load %d,Carica %d\n2,\"One, two\",\n3,Short\n"
    document = open_text(text, "a.csv")
    expect(document).to be_bilingual
    expect(
      document.segments.map { |segment| [segment.content.written, segment.target&.written, segment.state] }
    ).to eq([["Load {1/}", "Carica {1/}", "translated"], ["One, two", nil, nil], ["Short", nil, nil]])
    expect(same(document)).to eq(text.b)
    expect(put(document, nil, "Uno, due", "Corto")).to eq(
      "id,Source,Target\n1,Load %d,Carica %d\n2,\"One, two\",\"Uno, due\"\n3,Short,Corto\n"
    )
  end
end

RSpec.describe Glossema::Formats::Xlsx do
  def opened(bytes, **options) =
    Glossema::Document.new(bytes, name: "a.xlsx", language: "en", options: options.transform_keys(&:to_s))

  def shared(reference, index) = "<c r=\"#{reference}\" t=\"s\"><v>#{index}</v></c>"

  def row(number, *cells, **attributes) =
    "<row r=\"#{number}\"#{attributes.map { |name, value| " #{name}=\"#{value}\"" }.join}>#{cells.join}</row>"

  def data(*rows) = "<sheetData>#{rows.join}</sheetData>"

  it "reads shared, rich and own strings, and leaves formulas, numbers and what is hidden" do
    strings =
      "<si><t>Part</t></si><si><r><t xml:space=\"preserve\">Red </t></r><r><rPr><b/><family " \
        "val=\"2\"/></rPr><t>seat</t></r><r><rPr><b/></rPr><t>s</t></r></si><si><t>No</t></si><si><t>12</t>" \
        "</si>"
    sheet =
      "<cols><col min=\"4\" max=\"4\" hidden=\"1\"/></cols>" +
      data(
        row(
          1,
          shared("A1", 0),
          shared("B1", 1),
          "<c r=\"C1\" t=\"inlineStr\"><is><t>Own</t></is></c>",
          shared("D1", 2)
        ),
        row(2, shared("A2", 2), hidden: 1),
        row(
          3,
          "<c r=\"A3\" t=\"str\"><f>A1</f><v>Part</v></c>",
          "<c r=\"B3\"><v>5</v></c>",
          shared("C3", 3)
        )
      )
    bytes =
      xlsx(
        { "Prices" => sheet, "Away" => data(row(1, shared("A1", 2))) },
        strings,
        {},
        "Away" => "state=\"hidden\""
      )
    document = opened(bytes)
    expect(document.segments.map { |segment| [segment.unit.path, segment.content.written] }).to eq(
      [
        ["Prices · A1", "Part"],
        ["Prices · B1", "Red {1}seats{/1}"],
        ["Prices · C1", "Own"],
        ["name of a sheet", "Prices"]
      ]
    )
    expect(same(document)).to eq(bytes)
    pseudo(document)
    expect(written_of(opened(bytes, hidden_cells: true, hidden_sheets: true, sheet_names: false))).to eq(
      ["Part", "Red {1}seats{/1}", "Own", "No", "No", "No"]
    )
    expect(written_of(opened(bytes, ranges: "B:C", leave: "Prices!C1", sheet_names: false))).to eq(
      ["Red {1}seats{/1}"]
    )
  end

  it "lets cells that share a string be translated apart, and leaves those it does not take" do
    bytes =
      xlsx(
        { "S" => data(row(1, shared("A1", 0), shared("B1", 0)), row(2, shared("A2", 0), hidden: 1)) },
        "<si><t>Seat</t></si>"
      )
    document = opened(bytes, sheet_names: false)
    written = put(document, "Sedile", "Sella")
    again = opened(written.b, hidden_cells: true, sheet_names: false)
    expect(written_of(again)).to eq(%w[Sedile Sella Seat])
    expect(parts_of(written.b)["xl/sharedStrings.xml"]).to include("uniqueCount=\"3\"")
  end

  it "leaves names that formulas use, and keeps headings of tables and cells alike" do
    table =
      "<table #{Files::SHEET_SPACES} ref=\"A1:B2\"><tableColumns count=\"2\"><tableColumn id=\"1\" " \
        "name=\"Part\"/><tableColumn id=\"2\" name=\"Price\"/></tableColumns></table>"
    sheet =
      data(
        row(1, shared("A1", 0), shared("B1", 1)),
        row(2, "<c r=\"A2\"><f>SUM(T[Price])+Used!A1</f><v>1</v></c>")
      )
    document =
      opened(
        xlsx(
          { "Free" => sheet, "Used" => data },
          "<si><t>Part</t></si><si><t>Price</t></si>",
          "xl/worksheets/_rels/sheet1.xml.rels" =>
            relationships(relationship("t1", "table", "../tables/table1.xml")),
          "xl/tables/table1.xml" => table
        )
      )
    expect(written_of(document)).to eq(%w[Part Free])
    written = put(document, "Pezzo", "Libero")
    expect(parts_of(written.b)["xl/tables/table1.xml"]).to include("name=\"Pezzo\"").and include(
            "name=\"Price\""
          )
    expect(parts_of(written.b)["xl/workbook.xml"]).to include("name=\"Libero\"").and include("name=\"Used\"")
  end

  it "takes messages, tips and printed headers" do
    sheet =
      data +
      "<dataValidations><dataValidation sqref=\"A1\" promptTitle=\"Choose\" prompt=\"One of " \
        "these\"><formula1>\"Yes,No\"</formula1></dataValidation></dataValidations>" \
        "<hyperlinks><hyperlink ref=\"A1\" tooltip=\"Go " \
        "there\"/></hyperlinks><headerFooter><oddHeader>&amp;L&amp;\"Arial\"Price list&amp;RPage " \
        "&amp;P</oddHeader></headerFooter>"
    document = opened(xlsx({ "1" => sheet }))
    expect(written_of(document)).to eq(["Choose", "One of these", "Go there", "Price list{1/}Page {2/}"])
    pseudo(document)
  end

  it "holds both languages where columns say so" do
    bytes =
      xlsx(
        {
          "S" =>
            data(
              row(1, shared("A1", 0), shared("B1", 1), shared("C1", 2)),
              row(2, shared("A2", 3), shared("B2", 4)),
              row(3, shared("A3", 5), shared("B3", 6), shared("C3", 7))
            )
        },
        %w[Key Text Translation k1 One k2 Two Due].map { |text| "<si><t>#{text}</t></si>" }.join
      )
    document = opened(bytes, source_column: "Text", target_column: "Translation", context_column: "A")
    expect(
      document.segments.map { |segment| [segment.content.text, segment.target&.text, segment.unit.key] }
    ).to eq([["One", nil, "k1"], %w[Two Due k2]])
    expect(same(document)).to eq(bytes)
    written = put(document, "Uno & tre", "Dúe")
    expect(parts_of(written.b)["xl/worksheets/sheet1.xml"]).to include(
      "<c r=\"C2\" t=\"inlineStr\"><is><t>Uno &amp; tre</t></is></c></row>"
    )
  end

  it "reads prefixed names, and sheets whose cells do not say where they stand" do
    parts = parts_of(xlsx({ "1" => "" }, "<si><t>One</t></si>"))
    parts[
      "xl/worksheets/sheet1.xml"
    ] = "<x:worksheet #{Files::SHEET_SPACES.sub("xmlns=",
      "xmlns:x=")}><x:sheetData><x:row><x:c t=\"s\"><x:v>0</x:v></x:c><x:c " \
"t=\"inlineStr\"><x:is><x:t>Two</x:t></x:is></x:c></x:row></x:sheetData></x:worksheet>"
    document = opened(zip(parts))
    expect(document.segments.map { |segment| [segment.unit.path, segment.content.text] }).to eq(
      [["1 · A1", "One"], ["1 · B1", "Two"]]
    )
    pseudo(document)
  end
end

RSpec.describe Glossema::Formats::Ods do
  names =
    %w[office text table style fo draw svg]
      .map { |name| "xmlns:#{name}=\"urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0\"" }
      .join(" ")

  it "reads cells by sheet and place, and leaves formulas, numbers, comments and hidden sheets" do
    cell = ->(text, attributes = "") do
      "<table:table-cell office:value-type=\"string\" #{attributes}><text:p>#{text}</text:p>" \
        "</table:table-cell>"
    end
    body =
      "<table:table table:name=\"Prices\"><table:table-column/><table:table-column " \
        "table:visibility=\"collapse\"/>" \
        "<table:table-row>#{cell["Part"]}#{cell["hidden"]}<table:table-cell " \
        "table:number-columns-repeated=\"3\"/>#{cell["Far"]}</table:table-row>" \
        "<table:table-row " \
        "table:number-rows-repeated=\"4\"><table:table-cell/></table:table-row><table:table-row>" \
        "#{cell["Low<text:line-break/>line"]}#{cell["12"]}" \
        "<table:table-cell table:formula=\"of:=[.A1]&amp;[Used.A1]\" " \
        "office:value-type=\"string\"><text:p>Part</text:p></table:table-cell></table:table-row>" \
        "</table:table>" \
        "<table:table table:name=\"Used\" table:style-name=\"H\"><table:table-row>#{cell["no"]}" \
        "</table:table-row></table:table>"
    content =
      "<office:document-content #{names}><office:automatic-styles><style:style style:name=\"H\" " \
        "style:family=\"table\"><style:table-properties " \
        "table:display=\"false\"/></style:style></office:automatic-styles><office:body><office:spreadsheet>" \
        "#{body}<" \
        "/office:spreadsheet></office:body></office:document-content>"
    bytes =
      zip(
        "mimetype" => described_class::MEDIA_TYPE,
        "META-INF/manifest.xml" => "<m/>",
        "styles.xml" => "<office:document-styles #{names}/>",
        "content.xml" => content
      )
    document = Glossema::Document.new(bytes, name: "a.ods", language: "en")
    expect(document.segments.map { |segment| [segment.unit.path, segment.content.written] }).to eq(
      [
        ["name of a sheet", "Prices"],
        ["Prices · A1", "Part"],
        ["Prices · F1", "Far"],
        ["Prices · A6", "Low{1/}line"]
      ]
    )
    expect(same(document)).to eq(bytes)
    pseudo(document)
  end
end
