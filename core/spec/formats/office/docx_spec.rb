# DOCX: what becomes a segment, what becomes a code, and that everything else stays.
RSpec.describe Glossema::Formats::Docx do
  field =
    lambda do |instruction, result|
      marks = %w[begin separate end].map { |type| "<w:r><w:fldChar w:fldCharType=\"#{type}\"/></w:r>" }
      "#{marks[0]}<w:r><w:instrText>#{instruction}</w:instrText></w:r>#{marks[1]}#{result}#{marks[2]}"
    end
  r = ->(text, properties = "") { Files.run(text, properties) }
  note = '<w:r><w:footnoteReference w:id="2"/></w:r>'
  underlined = '<w:u w:val="single"/>'

  {
    "joins runs that look the same" => [
      [
        r["Check ", '<w:lang w:val="en-US"/>'],
        '<w:proofErr w:type="spellStart"/>',
        r["the", "<w:noProof/>"],
        r[" brakes.", '<w:rStyle w:val="Nothing"/><w:kern w:val="2"/>']
      ],
      ["Check the brakes."]
    ],
    "takes a style and its settings for the same look" => [
      [r["Use "], r["two", "<w:b/>"], r[" straps", '<w:rStyle w:val="Strong"/>'], r[".", '<w:b w:val="0"/>']],
      ["Use {1}two straps{/1}."]
    ],
    "makes a code of visible spacing, not of a size that is the default" => [
      [r["a "], r["b", '<w:spacing w:val="40"/>'], r[" c", '<w:sz w:val="22"/>']],
      ["a {1}b{/1} c"]
    ],
    "keeps codes that wrap everything outside" => [[r["All bold.", "<w:b/>"]], ["All bold."]],
    "cuts sentences and keeps a look over both" => [
      [r["Plain. "], r["Bold one. Bold two.", "<w:b/>"]],
      ["Plain.", "Bold one.", "Bold two."]
    ],
    "gives a look to white space only where it shows" => [
      [r["a"], r[" ", "<w:b/>"], r["b"], r[" ", underlined], r["c"]],
      ["a b{1} {/1}c"]
    ],
    "leaves blanks at the edge of a look outside" => [
      [r["Use"], r[" two ", "<w:b/>"], r["straps"]],
      ["Use {1}two{/1} straps"]
    ],
    "makes codes of breaks, tabs and notes, and leaves those outside the words out" => [
      [r["Line one"], "<w:r><w:br/></w:r>", r["two"], note, r["."], "<w:r><w:tab/></w:r>"],
      ["Line one{1/}two{2/}."]
    ],
    "reads links with their text" => [
      [
        r["See "],
        '<w:hyperlink r:id="x">',
        r["our ", underlined],
        r["site", underlined],
        "</w:hyperlink>",
        r["."]
      ],
      ["See {1}our site{/1}."]
    ],
    "reads link fields with their text, other fields as one code" => [
      [field['HYPERLINK "x"', r["there"]], r[" page "], field["PAGE", r["3"]], r[" of it"]],
      ["{1}there{/1} page {2/} of it"]
    ],
    "reads tracked changes as accepted" => [
      [
        r["new "],
        '<w:ins w:id="1">',
        r["text"],
        "</w:ins>",
        '<w:del w:id="2"><w:r><w:delText>old</w:delText></w:r></w:del>'
      ],
      ["new text"]
    ],
    "sees no code in bookmarks, comments and index marks" => [
      [
        r["a "],
        '<w:bookmarkStart w:id="1" w:name="x"/>',
        r["b"],
        '<w:bookmarkEnd w:id="1"/><w:commentRangeStart w:id="3"/>',
        r[" c"],
        '<w:r><w:commentReference w:id="3"/></w:r>',
        field['XE "b"', ""]
      ],
      ["a b c"]
    ],
    "leaves hidden text" => [[r["seen"], r[" secret", "<w:vanish/>"]], ["seen"]],
    "reads inside content controls and smart tags" => [
      [
        "<w:smartTag>",
        r["In "],
        '</w:smartTag><w:sdt><w:sdtPr><w:id w:val="5"/></w:sdtPr><w:sdtContent>',
        r["a control"],
        "</w:sdtContent></w:sdt>",
        r[" now"]
      ],
      ["In {1}a control{/1} now"]
    ],
    "ignores fonts for scripts that are not there" => [
      [r["a", '<w:rFonts w:eastAsia="X" w:hint="eastAsia"/>'], r["b", '<w:rFonts w:cs="Y"/><w:bCs/>']],
      ["ab"]
    ]
  }.each do |name, (inner, expected)|
    it name do
      body = Files.paragraph(*inner)
      expect(sources(body)).to eq(expected)
      opened = document(body)
      targets = opened.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
      proof = Glossema::Proof.new(opened, opened.write(targets, target_language: "it-IT"), targets)
      expect(proof.to_h).to include("identical" => true, "differences" => [])
    end
  end

  it "finds text in tables, boxes, notes, headers and properties, each in its place" do
    box =
      "<w:r><mc:AlternateContent><mc:Choice Requires=\"wps\"><w:drawing><wp:anchor><wp:docPr id=\"1\" " \
        "name=\"p\" descr=\"A loaded bicycle\"/><wps:txbx><w:txbxContent>#{paragraph(run("Boxed."))}" \
        "</w:txbxContent" \
        "></wps:txbx></wp:anchor></w:drawing></mc:Choice>" \
        "<mc:Fallback><w:pict><v:textbox><w:txbxContent>#{paragraph(run("Boxed."))}</w:txbxContent>" \
        "</v:textbox></w:pict></mc:Fallback></mc:AlternateContent></w:r>"
    opened =
      document(
        "<w:p><w:pPr><w:pStyle w:val=\"Kop1\"/></w:pPr>#{run("Title")}</w:p><w:tbl><w:tr><w:tc>" \
          "#{paragraph(run("Cell"))}</w:tc></w:tr></w:tbl>#{paragraph(run("Text"), box)}",
        "word/header1.xml" => "<w:hdr #{Files::NAMESPACES}>#{paragraph(run("Head"))}</w:hdr>",
        "word/footnotes.xml" =>
          "<w:footnotes #{Files::NAMESPACES}><w:footnote w:id=\"2\">#{paragraph(run("Note"))}</w:footnote>" \
          "</w:footnotes>"
      )
    expect(opened.segments.map { |segment| [segment.unit.block, segment.content.text] }).to contain_exactly(
      %w[heading-1 Title],
      %w[cell Cell],
      %w[paragraph Text],
      %w[text-box Boxed.],
      ["alt-text", "A loaded bicycle"],
      %w[header Head],
      %w[note Note]
    )
    targets =
      opened.segments.to_h { |segment| [segment.id, Glossema::Content.text("«#{segment.content.text}»")] }
    parts = parts_of(opened.write(targets, target_language: "it-IT"))
    expect(parts["word/document.xml"].scan("«Boxed.»").size).to eq(2)
    expect(parts["word/document.xml"]).to include('descr="«A loaded bicycle»"', '<w:lang w:val="it-IT"/>')
    expect(parts["word/header1.xml"]).to include("«Head»")
  end

  it "keeps the picture, the note mark and the bookmark of a rewritten paragraph" do
    body =
      paragraph(
        '<w:bookmarkStart w:id="1" w:name="here"/>',
        run("A "),
        run("bold", "<w:b/>"),
        '<w:r><w:drawing w:id="d"/></w:r>',
        run(" end"),
        '<w:bookmarkEnd w:id="1"/>'
      )
    opened = document(body)
    segment = opened.segments.first
    written =
      opened.write({ segment.id => Glossema::Content.parse("{2/}Fine {1}grassa{/1}", segment.content) })
    expect(parts_of(written)["word/document.xml"][%r{<w:body>.*</w:body>}m]).to eq(
      '<w:body><w:p><w:bookmarkStart w:id="1" w:name="here"/><w:r><w:drawing w:id="d"/></w:r><w:r><w:t ' \
        'xml:space="preserve">Fine </w:t></w:r>' \
        '<w:r><w:rPr><w:b/></w:rPr><w:t xml:space="preserve">grassa</w:t></w:r><w:bookmarkEnd ' \
        'w:id="1"/></w:p></w:body>'
    )
  end

  it "says so when a written file is not what was meant" do
    opened = document(paragraph(run("One "), run("two", "<w:b/>")) + paragraph(run("Three")))
    targets = opened.segments.to_h { |segment| [segment.id, segment.content] }
    expect(
      Glossema::Proof
        .new(opened, docx(paragraph(run("One two")) + paragraph(run("Four"))), targets)
        .differences
        .map(&:what)
    ).to eq(%w[codes text])
    lost = { opened.segments.first.id => Glossema::Content.text("Uno due") }
    expect(Glossema::Proof.new(opened, opened.write(lost), lost).differences.map(&:message)).to eq(
      ["Codes missing in “One two”: {1} {/1}."]
    )
  end

  it "shows the document as clean HTML with anchors" do
    heading = "<w:p><w:pPr><w:pStyle w:val=\"Kop1\"/></w:pPr>#{run("A &amp; B")}</w:p>"
    table = "<w:tbl><w:tr><w:tc>#{paragraph(run("bold", "<w:b/>"), run(" x"))}</w:tc></w:tr></w:tbl>"
    html =
      document(heading + table).preview { |segment| "<span>#{Glossema::Html.render(segment.content)}</span>" }
    expect(html).to eq(
      "<h1><span>A &amp; B</span></h1><table><tr><td><p><span><b>bold</b> x</span></p></td></tr></table>"
    )
  end

  it_behaves_like "a format on real documents",
    "docx",
    refused: {
      "normalize.docx" => %r{is damaged: its part word/document\.xml is incomplete or unreadable}
    }

  describe "files that are not what they seem" do
    ole = "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b
    whole = -> { Files.parts_of(Files.docx("")) }
    entity = '<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>'
    {
      "empty" => [-> { "" }, "empty"],
      "noise" => [-> { "\x00\x01\x02noise" }, "format-unknown"],
      "cut off" => [-> { Files.docx(Files.paragraph(Files.run("x")))[0..400] }, "damaged"],
      "a locked file" => [-> { ole + "E\0n\0c\0r\0y\0p\0t\0e\0d\0".b }, "locked"],
      "an old one" => [-> { ole + ("x" * 600) }, "format-old"],
      "rich text" => [-> { "{\\rtf1 Brakes}" }, "format-unknown"],
      "a PDF" => [-> { "%PDF-1.7\n" }, "format-unknown"],
      "a ZIP bomb" => [-> { Files.docx("", "word/huge.xml" => "0" * 11_000_000) }, "hostile"],
      "entities" => [-> { Files.zip(whole.call.merge("word/document.xml" => entity)) }, "hostile"],
      "broken XML" => [-> { Files.docx("<w:p><w:r></w:p>") }, "damaged"],
      "a path that climbs out" => [-> { Files.zip(whole.call.merge("../../etc/x" => "x")) }, "hostile"],
      "an archive of something else" => [-> { Files.zip("a.txt" => "x") }, "format-unknown"],
      "a main part that is missing" => [-> { Files.zip(whole.call.except("word/document.xml")) }, "damaged"]
    }.each do |name, (bytes, code)|
      it "refuses #{name} in a sentence that names it, quickly" do
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        expect { Glossema::Document.new(bytes.call, name: "bad.docx") }.to raise_error(
          Glossema::Refused
        ) { |error|
          expect(error.code).to eq(code)
          expect(error.message).to match(/\Abad\.docx .*\.\z/m)
        }
        expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).to be < 5
      end
    end
  end
end
