# What goes out to the client: links live, nothing of the source is left standing, archives are sound, texts
# run the right way; and the proof sees when it is not so.
RSpec.describe Glossema::Proof do
  def pseudo(document)
    document.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
  end

  def field(instruction, result)
    [
      "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText>#{instruction}</w:instrText></w:r>",
      "<w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>#{run(result)}",
      "<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>"
    ].join
  end

  # Targets by their source texts.
  def put(document, texts)
    document.segments.to_h { |segment|
      [segment.id, texts[segment.content.text]]
    }.compact.transform_values do |text|
      Glossema::Content.text(text)
    end
  end

  def body_of(bytes) = parts_of(bytes).fetch("word/document.xml")

  it "keeps the name spaces of links, notes and pictures in rewritten paragraphs" do
    opened = document(paragraph(run("See "),
      "<w:hyperlink r:id=\"s\" w:anchor=\"a\">#{run("our site")}</w:hyperlink>"))
    written = opened.write(pseudo(opened))
    expect(body_of(written)).to include('<w:hyperlink r:id="s" w:anchor="a">')
    expect(described_class.new(opened, written, pseudo(opened))).to be_identical
  end

  it "tells what was left in the source language on purpose from what was left untouched" do
    text = "Stop now.\n\nFit the Heron 500.\n\nHeron 500\n\nOK then.\n\nOil it."
    opened = Glossema::Document.new(text, name: "a.txt", language: "en")
    targets = put(opened, "Stop now." => "Fermarsi.", "OK then." => "OK then.", "Oil it." => "Oil it.")
    states = opened.segments.to_h { |one| [one.id, one.content.text == "OK then." ? "translated" : "draft"] }
    proof = described_class.new(opened, opened.write(targets), targets)
    kept = proof.source_kept(states, never_translated: ["Heron 500"])
    expect(kept.transform_values { |list| list.map { |one| one.content.text } }).to eq(
      purpose: ["Heron 500", "OK then."], untouched: ["Fit the Heron 500.", "Oil it."], drafts: ["Stop now."]
    )
  end

  it "sees a link that died, though the text reads as it was written" do
    opened = document(paragraph(run("See "), "<w:hyperlink r:id=\"s\">#{run("our site")}</w:hyperlink>"))
    written = opened.write(pseudo(opened))
    dead = opened.file.container.write("word/document.xml" => body_of(written).sub(' r:id="s"', ' id="s"'))
    messages = described_class.new(opened, dead, pseudo(opened)).differences.map(&:message)
    expect(messages).to include("A link is missing in word/document.xml (id=s).")
  end

  it "sees a bookmark, a cell or a part that is gone" do
    cell = "<w:tc>#{paragraph(run("One"))}</w:tc>"
    table = "<w:tbl><w:tr>#{cell}#{cell}</w:tr></w:tbl>"
    opened = document("#{table}#{paragraph("<w:bookmarkStart w:id=\"1\" w:name=\"b\"/>", run("Two"))}")
    source = opened.file.container.bytes
    broken = body_of(source).sub(cell, "").sub(/<w:bookmarkStart[^>]*>/, "")
    differences = Glossema::Proof::Structure.differences(
      source,
      opened.file.container.write("word/document.xml" => broken),
      "a.docx"
    )
    expect(differences).to contain_exactly(
      ["elements-changed", { element: "cells", part: "word/document.xml", before: 2, now: 1, name: "tc" }],
      ["elements-changed",
       { element: "bookmarks", part: "word/document.xml", before: 1, now: 0, name: "bookmarkStart" }]
    )
  end

  it "stores differences as data and returns their messages in the language of the user" do
    opened = document("<w:tbl><w:tr><w:tc>#{paragraph(run("One"))}</w:tc></w:tr></w:tbl>")
    container = opened.file.container
    written = container.write("word/document.xml" => body_of(container.bytes).sub("One", "Two"))
    proof = described_class.new(opened, written, {})
    stored = JSON.parse(proof.record.to_json).fetch("differences")
    place = { "kind" => "table", "number" => 1, "row" => 1, "column" => 1 }
    expect(stored.first).to include("what" => "text", "key" => "text",
      "details" => include("location" => place))
    message = "table 1 · row 1 · column 1: the text should be “One”, but is “Two”."
    expect(described_class::Difference.from_h(stored.first).message).to eq(message)
    expect(proof.to_h["differences"].first["message"]).to eq(message)
    expect(stored).to all(satisfy { |one| described_class::Difference.fits?(one) })
    wrong = [{ "what" => "text", "key" => "text", "details" => {} }, { "what" => "text", "key" => "no" },
             "text"]
    expect(wrong).to all(satisfy { |one| !described_class::Difference.fits?(one) })
  end

  it "shows what cannot be seen where two texts differ" do
    expect(Glossema::Proof::Visible.pair("12\u00A0kg \u200Bon", "12 kg  on")).to eq(
      ["12⍽kg ‹U+200B›on", "12 kg··on"]
    )
  end

  it "writes archives whose entries say where their sizes stand" do
    opened = Glossema::Document.new(
      File.binread(Dir[File.join(Files::SAMPLES, "odt/*.odt")].min),
      name: "a.odt"
    )
    bytes = opened.write(pseudo(opened))
    Zip::File.open_buffer(StringIO.new(bytes)) do |archive|
      expect(archive.entries.map { |entry| entry.gp_flags & 8 }.uniq).to eq([0])
    end
  end

  describe "computed texts" do
    it "renews contents by where they lead, cross-references, captions and titles, and keeps page numbers" do
      heading = lambda do |text, name|
        "<w:p><w:pPr><w:pStyle w:val=\"Kop1\"/></w:pPr><w:bookmarkStart w:id=\"1\" w:name=\"#{name}\"/>" \
          "#{run(text)}<w:bookmarkEnd w:id=\"1\"/></w:p>"
      end
      entry = lambda do |text, name, page|
        "<w:hyperlink w:anchor=\"#{name}\">#{run(text)}<w:r><w:tab/></w:r>#{field("PAGEREF #{name}", page)}" \
          "</w:hyperlink>"
      end
      start = "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText>TOC \\o</w:instrText></w:r>" \
        "<w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>"
      contents = paragraph(start, entry["Care", "_Toc1", "3"]) + paragraph(entry["Care", "_Toc2", "9"]) +
        paragraph("<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>")
      text = paragraph(run("See "), field("REF _Toc1 \\h", "Care"), run(" and "),
        field("REF f \\h", "Figure 1"))
      caption = paragraph(run("Figure "), field("SEQ Figure", "1"), run(": The box"))
      opened = document(contents + heading["Care", "_Toc1"] + heading["Care", "_Toc2"] + text + caption)
      ids = opened.segments.map(&:id)
      targets = {
        ids[0] => Glossema::Content.text("Cura"),
        ids[1] => Glossema::Content.text("Manutenzione"),
        **pseudo(opened).slice(ids[2]),
        ids[3] => Glossema::Content.parse("Figura {1/}: La cassa", opened.segments[3].content)
      }
      written = body_of(opened.write(targets, target_language: "it-IT"))
      shown = Nokogiri.XML(written).xpath("//*[local-name()='p']").map do |node|
        node.xpath(".//*[local-name()='t' or local-name()='tab']").map { |one|
          one.name == "tab" ? "→" : one.text
        }.join
      end
      expect(shown[0..1]).to eq(%w[Cura→3 Manutenzione→9])
      expect(shown[5]).to include("Cura").and include("Figura 1")
      expect(written).not_to match(/Care|Figure 1/)
      expect(described_class.new(opened, opened.write(targets), targets).to_h).not_to have_key("left")
    end

    it "names what cannot be renewed" do
      opened = document(paragraph(run("Load the box. "), field("INDEX", "brakes, 3")))
      targets = pseudo(opened)
      proof = described_class.new(opened, opened.write(targets), targets)
      expect(proof).to be_identical
      expect(proof.to_h["left"]).to eq(["brakes, 3"])
    end

    it "leaves no plain word in the contents, references and running heads of a document of LibreOffice’s " \
      "kind" do
      index = "<text:table-of-content><text:index-body><text:index-title><text:p>Contents</text:p>" \
        "</text:index-title>" \
        "<text:p><text:a " \
        "xlink:href=\"#h1\">Care<text:tab/>3</text:a></text:p></text:index-body></text:table-of-content>"
      body = "#{index}<text:h text:outline-level=\"1\"><text:bookmark-start text:name=\"h1\"/>Care" \
        "<text:bookmark-end text:name=\"h1\"/></text:h><text:p>See <text:bookmark-ref text:ref-name=\"h1\" " \
        "text:reference-format=\"text\">Care</text:bookmark-ref> first.</text:p>"
      names = { "office" => "office", "text" => "text" }.map do |prefix, name|
        "xmlns:#{prefix}=\"urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0\""
      end
      opened = Glossema::Document.new(
        zip(
          "mimetype" => Glossema::Formats::Odt::MEDIA_TYPE,
          "META-INF/manifest.xml" => "<m/>",
          "styles.xml" => "<office:document-styles #{names[0]}/>",
          "content.xml" => "<office:document-content #{names.join(" ")} " \
            "xmlns:xlink=\"http://www.w3.org/1999/xlink\">" \
            "<office:body><office:text>#{body}</office:text></office:body></office:document-content>"
        ),
        name: "a.odt"
      )
      expect(opened.segments.map { |segment|
        segment.content.text
      }).to eq(["Contents", "Care", "See  first."])
      written = opened.write(pseudo(opened))
      plain = Nokogiri.XML(parts_of(written)["content.xml"]).xpath("//text()").map(&:text).join(" ")
      expect(plain).not_to match(/[A-Za-z]{3}/)
      expect(plain).to include("3")
      expect(described_class.new(opened, written, pseudo(opened)).differences).to eq([])
    end
  end

  describe "charts" do
    let(:chart) do
      text = ->(words) { "<c:strCache><c:pt idx=\"0\"><c:v>#{words}</c:v></c:pt></c:strCache>" }
      "<c:chart xmlns:c=\"urn:c\">#{text["Rain covers"]}#{text["Rain covers"]}#{text["2026"]}</c:chart>"
    end

    it "are translated where they show names of series and categories, the same everywhere" do
      opened = document(paragraph(run("See below.")), "word/chart1.xml" => chart)
      expect(opened.segments.map { |segment| segment.content.text }).to eq(["See below.", "Rain covers"])
      written = opened.write(pseudo(opened))
      expect(parts_of(written)["word/chart1.xml"].scan(/<c:v>(.*?)</).flatten).to eq(
        [*["Ŕàîñ çöṽéŕš ẋẋẋ"] * 2, "2026"]
      )
      expect(described_class.new(opened, written, pseudo(opened)).differences.map(&:message)).to eq([])
    end
  end

  describe "what is no text" do
    it "is no segment: marks and numbers by themselves, but for values" do
      opened = document(
        [
          paragraph(run("|")),
          paragraph(run("("), field("PAGE", "2"), run(")")),
          paragraph(run("2026")),
          "<w:tbl><w:tr><w:tc>#{paragraph(run("1,250.50"))}</w:tc><w:tc>#{paragraph(run("–"))}</w:tc>" \
            "</w:tr></w:tbl>",
          paragraph(run("Load 2 boxes."))
        ].join
      )
      expect(opened.segments.map { |segment| segment.content.text }).to eq(["1,250.50", "Load 2 boxes."])
    end
  end

  describe "characters no document can hold" do
    it "never gets them into a file" do
      opened = document(paragraph(run("One")))
      targets = { opened.segments.first.id => Glossema::Content.text("U\u0001no\u000B\uFFFF") }
      written = opened.write(targets)
      expect { Nokogiri.XML(body_of(written), &:strict) }.not_to raise_error
      expect(body_of(written)).to include(">Uno<")
      expect(described_class.new(opened, written, targets)).to be_identical
    end
  end

  describe "the direction of texts" do
    it "turns paragraphs, tables and the page of a DOCX, and back" do
      cell = "<w:tbl><w:tblPr/><w:tr><w:tc>#{paragraph(run("Two"))}</w:tc></w:tr></w:tbl>"
      opened = document("#{paragraph(run("One"))}#{cell}<w:sectPr><w:docGrid/></w:sectPr>")
      targets = put(opened, "One" => "واحد", "Two" => "اثنان")
      written = opened.write(targets, target_language: "ar")
      body = body_of(written)
      expect(body.scan("<w:pPr><w:bidi/>").size).to eq(2)
      expect(body).to include("<w:bidiVisual/>").and include("<w:sectPr><w:bidi/>" \
        "<w:docGrid/>").and include("<w:rtl/>")
      expect(described_class.new(opened, written, targets)).to be_identical

      arabic = Glossema::Document.new(written, name: "ar.docx")
      english = put(arabic, "واحد" => "One", "اثنان" => "Two")
      back = body_of(arabic.write(english, target_language: "en"))
      expect(back).not_to match(/bidi|rtl/)
      expect(opened.write(pseudo(opened), target_language: "it")).not_to include("bidi")
    end

    %w[dealer.pptx prices.xlsx sizes.odt dealer.odp prices.ods guide.xhtml page.html].each do |name|
      it "turns #{name}, and the proof knows it" do
        opened = Glossema::Document.new(File.binread(File.join(Files::DEMO, name)), name: name)
        targets = opened.segments.to_h do |segment|
          items = segment.content.items.map { |item| item.is_a?(String) ? item.gsub(/\p{L}+/, "نص") : item }
          [segment.id, Glossema::Content.new(items)]
        end
        written = opened.write(targets, target_language: "ar")
        expect(described_class.new(opened, written, targets).differences.map(&:message)).to eq([])
        texts = name.match?(/html/) ? written.force_encoding("UTF-8") : parts_of(written).values.map(&:b).join
        expect(texts).to match(/rtl="1"|rightToLeft="1"|writing-mode="rl-tb"|dir="rtl"/)
      end
    end
  end
end
