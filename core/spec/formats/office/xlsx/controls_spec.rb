# What a sheet shows besides its cells: choices of input rules, captions of controls, and pivot tables.
RSpec.describe Glossema::Formats::Xlsx::SheetControls do
  def cell(reference, text) = "<c r=\"#{reference}\" t=\"inlineStr\"><is><t>#{text}</t></is></c>"
  def data(*cells) = "<sheetData><row r=\"1\">#{cells.join}</row></sheetData>"

  def rule(list)
    "<dataValidations><dataValidation type=\"list\" sqref=\"B1\">#{list}</dataValidation></dataValidations>"
  end

  def opened(bytes) = Glossema::Document.new(bytes, name: "a.xlsx", language: "en")
  def texts(document) = document.segments.map { |segment| segment.content.text }

  # Written with these targets by source text, proved; its parts.
  def written(document, targets)
    given = document.segments.to_h { |segment| [segment.id, targets[segment.content.text]] }.compact
    given = given.transform_values { |text| Glossema::Content.text(text) }
    bytes = document.write(given, target_language: "it")
    expect(Glossema::Proof.new(document, bytes, given).differences.map(&:message)).to eq([])
    parts_of(bytes)
  end

  def related(*list)
    { "xl/worksheets/_rels/sheet1.xml.rels" =>
        relationships(*list.each_with_index.map { |(type, to), i| relationship("q#{i}", type, to) }) }
  end

  describe "typed choices" do
    it "are texts, and a comma in one does not part it" do
      book = opened(xlsx({ "Form" => data(cell("A1", "Colour")) +
        rule("<formula1>\"Red,Say \"\"no\"\",12\"</formula1>") }))
      expect(texts(book)).to eq(["Colour", "Red", "Say \"no\"", "Form"])
      sheet = written(book, "Red" => "Rosso, vivo", "Say \"no\"" => "Di' \"no\"")["xl/worksheets/sheet1.xml"]
      expect(sheet).to include("<formula1>\"Rosso\u201A vivo,Di' \"\"no\"\",12\"</formula1>")
    end

    it "with commas are read from and written to their newer form" do
      newer = "<mc:AlternateContent xmlns:mc=\"m\" xmlns:x=\"x\"><mc:Choice Requires=\"x\"><x:list>" \
        "\"Yes, gladly\",No</x:list></mc:Choice><mc:Fallback><formula1>\"Yes, gladly,No\"</formula1>" \
        "</mc:Fallback></mc:AlternateContent>"
      book = opened(xlsx({ "Form" => data(cell("A1", "No")) + rule(newer) }))
      sheet = written(book, "Yes, gladly" => "Sì, certo", "No" => "No no")["xl/worksheets/sheet1.xml"]
      expect(sheet).to include("<x:list>\"Sì, certo\",No no</x:list>")
        .and include("<formula1>\"Sì\u201A certo,No no\"</formula1>")
    end

    it "that formulas name, and ranges, are left" do
      formula = "<c r=\"C1\"><f>IF(B1=\"Red\",1,0)</f><v>0</v></c>"
      named = xlsx({ "F" => data(cell("A1", "Colour"), formula) + rule("<formula1>\"Red,Blue\"</formula1>") })
      range = xlsx({ "F" => data(cell("A1", "Colour")) + rule("<formula1>$D$1:$D$9</formula1>") })
      expect([texts(opened(named)), texts(opened(range))]).to all(eq(%w[Colour F]))
    end

    it "too long for a sheet stay as they were, and the proof says so" do
      sheet = data(cell("A1", "Colour")) + rule("<formula1>\"Red,Blue\"</formula1>")
      book = opened(xlsx({ "Form" => sheet }))
      id = book.segments.find { |segment| segment.content.text == "Red" }.id
      targets = { id => Glossema::Content.text("r" * 300) }
      bytes = book.write(targets)
      expect(parts_of(bytes)["xl/worksheets/sheet1.xml"]).to include("\"Red,Blue\"")
      expect(Glossema::Proof.new(book, bytes, targets)).not_to be_identical
    end
  end

  it "takes captions of controls once, wherever they stand" do
    vml = "<xml xmlns:v=\"v\"><v:shape><v:textbox><div><font>Send </font><font>it</font></div></v:textbox>" \
      "</v:shape><v:shape><v:textbox><div>Alone</div></v:textbox></v:shape></xml>"
    drawing = "<d:wsDr xmlns:d=\"d\" xmlns:a=\"#{Glossema::Formats::Drawing::NAMESPACE}\"><d:sp><d:txBody>" \
      "<a:p><a:r><a:t>Send it</a:t></a:r></a:p></d:txBody></d:sp></d:wsDr>"
    list = "<formControlPr xmlns=\"f\"><itemLst><item val=\"Pick me\"/></itemLst></formControlPr>"
    parts = related(["drawing", "../drawings/drawing1.xml"], ["vmlDrawing", "../drawings/vmlDrawing1.vml"],
      ["ctrlProp", "../ctrlProps/ctrlProp1.xml"])
    book = opened(xlsx({ "F" => data(cell("A1", "Text")) }, "", parts.merge(
      "xl/drawings/drawing1.xml" => drawing, "xl/drawings/vmlDrawing1.vml" => vml,
      "xl/ctrlProps/ctrlProp1.xml" => list
    )))
    expect(texts(book)).to eq(["Text", "Send it", "Alone", "Pick me", "F"])
    made = written(book, "Send it" => "Invia", "Alone" => "Da solo", "Pick me" => "Scegli")
    expect(made["xl/drawings/vmlDrawing1.vml"].force_encoding("UTF-8"))
      .to include("<font>Invia</font><font").and include("<div>Da solo</div>")
    expect(made["xl/drawings/drawing1.xml"]).to include("<a:t>Invia</a:t>")
    expect(made["xl/ctrlProps/ctrlProp1.xml"]).to include("val=\"Scegli\"")
  end

  describe "pivot tables" do
    let(:pivot) do
      "<pivotTableDefinition xmlns=\"p\" name=\"P\" dataCaption=\"Values\" grandTotalCaption=\"In all\">" \
        "<pivotFields><pivotField name=\"Shop\"/></pivotFields><dataFields><dataField name=\"Sum\"/>" \
        "</dataFields></pivotTableDefinition>"
    end
    let(:cache) do
      "<pivotCacheDefinition xmlns=\"p\"><cacheSource type=\"worksheet\"><worksheetSource ref=\"A1:B9\" " \
        "sheet=\"Orders\"/></cacheSource><cacheFields><cacheField name=\"Shop\"><sharedItems>" \
        "<s v=\"North\"/><s v=\"South\"/></sharedItems></cacheField></cacheFields></pivotCacheDefinition>"
    end
    let(:book) do
      cells = data(cell("A1", "Shop"), cell("B1", "North"), cell("C1", "South"), cell("D1", "Sum"))
      opened(xlsx({ "Orders" => cells }, "", related(["pivotTable", "../pivotTables/pivotTable1.xml"]).merge(
        "xl/pivotTables/pivotTable1.xml" => pivot,
        "xl/pivotTables/_rels/pivotTable1.xml.rels" => relationships(
          relationship("c", "pivotCacheDefinition", "../pivotCache/pivotCacheDefinition1.xml")
        ),
        "xl/pivotCache/pivotCacheDefinition1.xml" => cache
      )))
    end

    it "say what their cells say; captions without a cell are texts; the sheet they name keeps its name" do
      expect(texts(book)).to eq(["Shop", "North", "South", "Sum", "In all"])
      made = written(book, "Shop" => "Negozio", "North" => "Nord", "South" => "Sud", "Sum" => "Somma",
        "In all" => "Totale")
      expect(made["xl/pivotTables/pivotTable1.xml"]).to include("pivotField name=\"Negozio\"")
        .and include("dataField name=\"Somma\"").and include("grandTotalCaption=\"Totale\"")
      expect(made["xl/pivotCache/pivotCacheDefinition1.xml"]).to include("cacheField name=\"Negozio\"")
        .and include("<s v=\"Nord\"/><s v=\"Sud\"/>").and include("sheet=\"Orders\"")
    end

    it "keep the names of a list apart, when two translations are the same" do
      made = written(book, "Shop" => "Negozio", "North" => "Zona", "South" => "Zona")
      expect(made["xl/pivotCache/pivotCacheDefinition1.xml"]).to include("<s v=\"North\"/><s v=\"South\"/>")
    end
  end
end
