# PPTX: what becomes a segment on a slide, what becomes a code, and that everything else stays.
RSpec.describe Glossema::Formats::Pptx do
  a =
    'xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" ' \
      'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" ' \
      'xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main" ' \
      'xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart" ' \
      'xmlns:dgm="http://schemas.openxmlformats.org/drawingml/2006/diagram" ' \
      'xmlns:dsp="http://schemas.microsoft.com/office/drawing/2008/diagram"'
  office = "http://schemas.openxmlformats.org/officeDocument/2006/relationships"

  define_method(:relations) do |list|
    rows =
      list.map do |id, type, target|
        "<Relationship Id=\"#{id}\" Type=\"#{type.include?(":") ? type : "#{office}/#{type}"}\" " \
          "Target=\"#{target}\"/>"
      end
    "<Relationships " \
      "xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">#{rows.join}</Relationships>"
  end

  def text(string, properties = "") = "<a:r>#{properties}<a:t>#{string}</a:t></a:r>"
  def lines(*runs) = "<a:p>#{runs.join}<a:endParaRPr lang=\"en-GB\"/></a:p>"

  def shape(inner, holder: nil, description: nil)
    "<p:sp><p:nvSpPr><p:cNvPr id=\"1\" name=\"s\"#{" descr=\"#{description}\"" if description}/><p:nvPr>" \
      "#{"<p:ph type=\"#{holder}\"/>" if holder}</p:nvPr></p:nvSpPr><p:txBody>#{inner}</p:txBody></p:sp>"
  end

  # slides: array of [inner XML, attributes of the slide]; extra: further parts.
  define_method(:pptx) do |slides, extra = {}|
    ids = slides.each_index.map { |index| "<p:sldId id=\"#{256 + index}\" r:id=\"s#{index}\"/>" }
    parts =
      slides.each_with_index.to_h do |(inner, attributes), index|
        [
          "ppt/slides/slide#{index + 1}.xml",
          "<p:sld #{a} #{attributes}><p:cSld><p:spTree>#{inner}</p:spTree></p:cSld></p:sld>"
        ]
      end
    zip(
      "[Content_Types].xml" =>
        '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override ' \
        'PartName="/ppt/presentation.xml" ' \
        'ContentType="application/vnd.openxmlformats-officedocument.presentationml.presentation.main+xml"/>' \
        "</Types>",
      "_rels/.rels" => relations([%w[d officeDocument ppt/presentation.xml]]),
      "ppt/presentation.xml" => "<p:presentation #{a}><p:sldIdLst>#{ids.join}</p:sldIdLst></p:presentation>",
      "ppt/_rels/presentation.xml.rels" =>
        relations(slides.each_index.map { |index| ["s#{index}", "slide", "slides/slide#{index + 1}.xml"] }),
      **parts,
      **extra
    )
  end

  def opened(bytes, options = {}) =
    Glossema::Document.new(bytes, name: "a.pptx", language: "en", options: options)

  def found(document) =
    document.segments.map { |segment| [segment.unit.block, segment.unit.path, segment.content.written] }

  def proved(document)
    targets = document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
    Glossema::Proof
      .new(document, document.write(targets, target_language: "it-IT"), targets)
      .differences
      .map(&:message)
  end

  it "reads slides in order: titles, text, tables, alternative texts" do
    table =
      "<p:graphicFrame><a:tbl><a:tr><a:tc>" \
        "<a:txBody>#{lines(text("Model"))}</a:txBody></a:tc><a:tc><a:txBody>" \
        "#{lines(text("80 kg"))}</a:txBody></a:tc></a:tr></a:tbl></p:graphicFrame>"
    document =
      opened(
        pptx(
          [
            [
              shape(lines(text("The new range")), holder: "ctrTitle") +
                shape(lines(text("One. Two.")), holder: "body", description: "A bicycle"),
              ""
            ],
            [table + shape(lines(text("Free text"))), ""]
          ]
        )
      )
    expect(found(document)).to eq(
      [
        ["heading-1", "slide 1", "The new range"],
        ["paragraph", "slide 1", "One."],
        ["paragraph", "slide 1", "Two."],
        ["alt-text", "alternative text of a picture", "A bicycle"],
        ["cell", "slide 2 · row 1 · column 1", "Model"],
        ["cell", "slide 2 · row 1 · column 2", "80 kg"],
        ["text-box", "slide 2", "Free text"]
      ]
    )
    expect(proved(document)).to eq([])
  end

  it "joins runs that look the same, and makes codes of what shows" do
    runs = [
      text("Load ", '<a:rPr lang="en-GB" dirty="0"/>'),
      text("it ", '<a:rPr lang="en-US" b="0" err="1"/>'),
      text("low", '<a:rPr b="1"/>'),
      "<a:br><a:rPr/></a:br>",
      text("and "),
      '<a:fld id="{1}" type="slidenum"><a:t>3</a:t></a:fld>',
      text(" times.")
    ]
    document = opened(pptx([[shape(lines(*runs)), ""]]))
    expect(found(document).map(&:last)).to eq(["Load it {1}low{/1}{2/}and {3/} times."])
    expect(proved(document)).to eq([])
    segment = document.segments.first
    written =
      document.write(
        { segment.id => Glossema::Content.parse("{3/}: {1}basso{/1}", segment.content) },
        target_language: "it-IT"
      )
    expect(parts_of(written)["ppt/slides/slide1.xml"]).to include(
      '<a:fld id="{1}" type="slidenum"><a:t>3</a:t></a:fld><a:r><a:rPr lang="it-IT"/><a:t>: </a:t></a:r>' \
        '<a:r><a:rPr b="1" lang="it-IT"/><a:t>basso</a:t></a:r><a:endParaRPr lang="en-GB"/>'
    )
  end

  it "leaves hidden slides and notes out unless they are wanted" do
    notes =
      "<p:notes #{a}><p:cSld><p:spTree>#{shape(lines(text("Say hello")), holder: "body")}" \
        "#{shape(lines(text("1")), holder: "sldNum")}</p:spTree></p:cSld></p:notes>"
    bytes =
      pptx(
        [[shape(lines(text("Shown"))), ""], [shape(lines(text("Hidden"))), 'show="0"']],
        "ppt/notesSlides/notesSlide1.xml" => notes,
        "ppt/slides/_rels/slide1.xml.rels" => relations([%w[n notesSlide ../notesSlides/notesSlide1.xml]])
      )
    expect(found(opened(bytes)).map(&:last)).to eq(["Shown"])
    all = opened(bytes, "notes" => true, "hidden_slides" => true)
    expect(found(all)).to eq(
      [
        ["text-box", "slide 1", "Shown"],
        ["note", "notes of slide 1", "Say hello"],
        ["text-box", "slide 2", "Hidden"]
      ]
    )
    expect(proved(all)).to eq([])
  end

  it "finds the typed texts of charts, and those of diagrams in both their copies" do
    chart =
      "<c:chartSpace #{a}><c:chart><c:title><c:tx><c:rich>#{lines(text("Range in km"))}</c:rich></c:tx>" \
        "</c:title></c:chart><c:cat><c:v>Eco</c:v></c:cat></c:chartSpace>"
    data = "<dgm:dataModel #{a}><dgm:pt><dgm:t>#{lines(text("Load low"))}</dgm:t></dgm:pt></dgm:dataModel>"
    drawn =
      "<dsp:drawing #{a}><dsp:sp><dsp:txBody>#{lines(text("Load low"))}</dsp:txBody></dsp:sp></dsp:drawing>"
    links = [
      %w[c chart ../charts/chart1.xml],
      %w[d diagramData ../diagrams/data1.xml],
      %w[w http://schemas.microsoft.com/office/2007/relationships/diagramDrawing ../diagrams/drawing1.xml]
    ]
    document =
      opened(
        pptx(
          [[shape(lines(text("Slide"))), ""]],
          "ppt/slides/_rels/slide1.xml.rels" => relations(links),
          "ppt/charts/chart1.xml" => chart,
          "ppt/diagrams/data1.xml" => data,
          "ppt/diagrams/drawing1.xml" => drawn
        )
      )
    expect(found(document).map(&:last)).to eq(["Slide", "Range in km", "Load low"])
    targets =
      document.segments.to_h { |segment| [segment.id, Glossema::Content.text("«#{segment.content.text}»")] }
    parts = parts_of(document.write(targets))
    expect(
      parts.values_at("ppt/charts/chart1.xml", "ppt/diagrams/data1.xml", "ppt/diagrams/drawing1.xml")
    ).to match([/«Range in km».*Eco/m, /«Load low»/, /«Load low»/])
    expect(proved(document)).to eq([])
  end

  it "shows slides as slides" do
    html =
      opened(
        pptx([[shape(lines(text("Title")), holder: "title") + shape(lines(text("Text"))), ""]])
      ).preview { |segment| segment.content.text }
    expect(html).to eq(
      '<section class="slide"><p class="number">slide 1</p><h1>Title</h1><p>Text</p></section>'
    )
  end

  it_behaves_like "a format on real documents", "pptx"
end
