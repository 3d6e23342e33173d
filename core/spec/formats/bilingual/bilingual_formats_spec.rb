# XLIFF, TMX and tables in DOCX as files to translate: what is there is taken over, what is put in is found
# again, and all that is not known stays.
RSpec.describe Glossema::Formats::Xliff do
  old = ->(units, attributes = "target-language=\"it\"") do
    "<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\"><file original=\"a\" " \
      "source-language=\"en\" #{attributes} datatype=\"x\"><body>#{units}</body></file></xliff>"
  end
  two = ->(units) do
    "<xliff version=\"2.1\" xmlns=\"urn:oasis:names:tc:xliff:document:2.0\" srcLang=\"en\" " \
      "trgLang=\"it\"><file id=\"f\">#{units}</file></xliff>"
  end

  codes = {
    "pairs of 1.2" => [
      old[
        "<trans-unit id=\"1\"><source>a <g id=\"1\" ctype=\"bold\">b</g> <bpt " \
          "id=\"2\">&lt;i&gt;</bpt>c<ept id=\"2\">&lt;/i&gt;</ept> <mrk " \
          "mtype=\"term\">d</mrk></source></trans-unit>"
      ],
      "a {1}b{/1} {2}c{/2} {3}d{/3}"
    ],
    "single codes of 1.2" => [
      old[
        "<trans-unit id=\"1\"><source>a<x id=\"1\"/>b<bx id=\"2\"/>c<ex id=\"3\" rid=\"2\"/>d<ph " \
          "id=\"4\">%s</ph>e<it id=\"5\" pos=\"open\">&lt;u&gt;</it> f</source></trans-unit>"
      ],
      "a{1/}b{2/}c{3/}d{4/}e{5/} f"
    ],
    "codes of 2" => [
      two[
        "<unit id=\"u\"><segment><source>a <pc id=\"1\">b <pc id=\"2\">c</pc></pc> <ph id=\"3\"/> <sc " \
          "id=\"4\"/>d<ec startRef=\"4\"/> <mrk id=\"m\" translate=\"no\">e</mrk> <cp " \
          "hex=\"0009\"/>f</source></segment></unit>"
      ],
      "a {1}b {2}c{/2}{/1} {3/} {4}d{/4} {5/} \tf"
    ]
  }
  codes.each do |name, (text, expected)|
    it "reads #{name}" do
      document = open_text(text, "a.xlf")
      expect(written_of(document)).to eq([expected])
      expect(same(document)).to eq(text.b)
      expect(pseudo(document).scan(/<(?:g|x|bx|ex|bpt|ept|ph|it|pc|sc|ec|mrk)\b/).tally).to eq(
        text.scan(/<(?:g|x|bx|ex|bpt|ept|ph|it|pc|sc|ec|mrk)\b/).tally.transform_values { |count| count * 2 }
      )
    end
  end

  it "takes over translations, states, notes, limits, keys and other matches of 1.2" do
    text =
      old[
        "<group id=\"g\"><note>All</note><trans-unit id=\"1\" resname=\"k\" maxwidth=\"9\" " \
          "size-unit=\"char\"><source>One <g id=\"1\">x</g></source><target " \
          "state=\"needs-review-translation\"><g " \
          "id=\"1\">y</g> uno</target><note>This</note>" \
          "<alt-trans match-quality=\"85%\" " \
          "origin=\"tm\"><source>One</source><target>Un</target></alt-trans></trans-unit></group>" \
          "<trans-unit id=\"2\" " \
          "approved=\"yes\"><source>Two</source><target>Due</target></trans-unit><trans-unit id=\"3\" " \
          "translate=\"no\"><source>Three</source></trans-unit><trans-unit " \
          "id=\"4\"><source>Four</source><target/></trans-unit>"
      ]
    document = open_text(text, "a.xlf")
    expect(
      document.segments.map { |segment| [segment.content.written, segment.target&.written, segment.state] }
    ).to eq([["One {1}x{/1}", "{1}y{/1} uno", "draft"], %w[Two Due final], ["Four", nil, nil]])
    first = document.units.first
    expect([first.note, first.limit, first.key]).to eq(["This · All", 9, "k"])
    expect(first.alternatives.map { |one| [one.source.text, one.target.text, one.score, one.origin] }).to eq(
      [["One", "Un", 85, "tm"]]
    )
    written =
      put(
        document,
        "Uno {1}z{/1}",
        nil,
        "Quattro",
        states: {
          document.segments[0].id => "reviewed",
          document.segments[2].id => "draft"
        }
      )
    expect(written).to include("<target state=\"signed-off\">Uno <g id=\"1\">z</g></target>").and include(
            "<target state=\"needs-translation\">Quattro</target>"
          ).and include("approved=\"yes\"><source>Two</source><target>Due</target>")
    expect(put(document, nil, "Duetto")).to include(
      "approved=\"no\"><source>Two</source><target state=\"translated\">Duetto</target>"
    )
  end

  it "fills targets segment by segment where the source is cut" do
    unit = ->(target) do
      old[
        "<trans-unit id=\"1\"><source>One. Two.</source><seg-source><mrk mtype=\"seg\" " \
          "mid=\"1\">One.</mrk> <mrk mtype=\"seg\" mid=\"2\">T<g id=\"1\">w</g>o.</mrk></seg-source>" \
          "#{target}</trans-unit>"
      ]
    end
    fresh = open_text(unit[""], "a.xlf")
    expect(written_of(fresh)).to eq(%w[One. T{1}w{/1}o.])
    expect(put(fresh, "Uno.", "D{1}u{/1}e.")).to include(
      "<target state=\"translated\"><mrk mtype=\"seg\" mid=\"1\">Uno.</mrk> <mrk mtype=\"seg\" " \
        "mid=\"2\">D<g id=\"1\">u</g>e.</mrk></target>"
    )
    begun = open_text(unit["<target><mrk mtype=\"seg\" mid=\"1\">Uno.</mrk></target>"], "a.xlf")
    expect(begun.segments.map { |segment| segment.target&.text }).to eq(["Uno.", nil])
    expect(put(begun, nil, "D{1}u{/1}e.")).to include(
      "<mrk mtype=\"seg\" mid=\"1\">Uno.</mrk> <mrk mtype=\"seg\" mid=\"2\">D<g " \
        "id=\"1\">u</g>e.</mrk></target>"
    )
  end

  it "takes over what 2 holds, and keeps what it does not know" do
    text =
      two[
        "<unit id=\"u\" name=\"n\" my:x=\"1\" " \
          "xmlns:my=\"urn:my\"><my:data>kept</my:data><notes><note>Note</note></notes><segment id=\"s1\" " \
          "state=\"reviewed\"><source>One</source><target>Uno</target></segment><ignorable><source> " \
          "</source></ignorable><segment id=\"s2\"><source>Two</source></segment></unit><unit id=\"v\" " \
          "translate=\"no\"><segment><source>No</source></segment></unit>"
      ]
    document = open_text(text, "a.xlf")
    expect(
      document.segments.map do |segment|
        [segment.content.text, segment.target&.text, segment.state, segment.unit.note]
      end
    ).to eq([%w[One Uno reviewed Note], ["Two", nil, nil, "Note"]])
    written = put(document, nil, "Due", states: { document.segments[1].id => "final" })
    expect(written).to include("<my:data>kept</my:data>").and include(
            "<segment id=\"s2\" state=\"final\"><source>Two</source><target>Due</target></segment>"
          )
  end

  it "names the target language where the file does not" do
    expect(
      put(
        open_text(old["<trans-unit id=\"1\"><source>One</source></trans-unit>", ""], "a.xlf"),
        "Eins",
        target_language: "de-CH"
      )
    ).to include("datatype=\"x\" target-language=\"de-CH\">")
  end
end

RSpec.describe Glossema::Formats::TmxFile do
  it "reads the pair of its language, and adds what is missing" do
    text =
      "<tmx version=\"1.4\"><header srclang=\"en-gb\"/><body><tu tuid=\"a\"><note>N</note><prop " \
        "type=\"x\">y</prop><tuv xml:lang=\"EN-GB\"><seg>Go <bpt i=\"1\" x=\"1\"/>on<ept i=\"1\"/> <ph " \
        "x=\"2\">&lt;br/&gt;</ph></seg></tuv>" \
        "<tuv xml:lang=\"it\"><seg><ph x=\"2\"/> <bpt i=\"1\" x=\"1\"/>Vai<ept i=\"1\"/></seg></tuv><tuv " \
        "xml:lang=\"de\"><seg>Los</seg></tuv></tu><tu><tuv " \
        "xml:lang=\"en-GB\"><seg>Stop</seg></tuv></tu></body></tmx>"
    document = open_text(text, "a.tmx", language: nil, target_language: "it-IT")
    expect(document.language).to eq("en-GB")
    expect(document.segments.map { |segment| [segment.content.written, segment.target&.written] }).to eq(
      [["Go {1}on{/1} {2/}", "{2/} {1}Vai{/1}"], ["Stop", nil]]
    )
    expect(same(document)).to eq(text.b)
    expect(put(document, "{1}Va{/1} {2/}", "Ferma")).to include("<prop type=\"x\">y</prop>").and include(
            "<seg>Los</seg>"
          ).and include("<tuv xml:lang=\"it-IT\"><seg>Ferma</seg></tuv></tu>")
  end
end

RSpec.describe Glossema::Formats::Docx do
  it "holds both languages in the columns of its tables" do
    cell = ->(*runs) { "<w:tc>#{paragraph(*runs)}</w:tc>" }
    body =
      "#{paragraph(run("Outside"))}<w:tbl><w:tr><w:trPr><w:tblHeader/></w:trPr>#{cell[run("Source")]}" \
        "#{cell[run("Target")]}</w:tr>" \
        "<w:tr>#{cell[run("Load "), run("two", "<w:b/>")]}#{cell[]}</w:tr><w:tr>#{cell[run("Stop")]}" \
        "#{cell[run("Ferma")]}</w:tr></w:tbl>"
    document =
      Glossema::Document.new(
        docx(body),
        name: "a.docx",
        language: "en",
        options: {
          "source_column" => "1",
          "target_column" => "B"
        }
      )
    expect(document.segments.map { |segment| [segment.content.written, segment.target&.written] }).to eq(
      [["Load {1}two{/1}", nil], %w[Stop Ferma]]
    )
    expect(same(document)).to eq(document.file.container.bytes)
    written = put(document, "Carica {1}due{/1}", "Basta")
    expect(
      Nokogiri.XML(parts_of(written.b)["word/document.xml"]).xpath("//*[local-name()='tc']").map(&:text)
    ).to eq(["Source", "Target", "Load two", "Carica due", "Stop", "Basta"])
  end
end
