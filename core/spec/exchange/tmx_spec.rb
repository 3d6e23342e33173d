# TMX out and in.
RSpec.describe Glossema::Exchange::Tmx do
  def read(xml)
    [].tap do |pairs|
      @counts =
        described_class.read(xml, name: "m.tmx", source_lang: "en-GB", target_lang: "it-IT") do |pair|
          pairs << pair
        end
    end
  end

  it "writes well-formed XML whatever the texts hold, and reads units with characters that XML cannot hold" do
    bad = "a\u0001b\u000Bc\uFFFEd & <e>"
    pair = described_class::Pair.new(source: "{1}#{bad}{/1}", target: bad,
      attributes: { "client" => bad, "author" => bad },
      extra: { "notes" => [bad], "props" => [["tu", bad, bad]] })
    out = +""
    described_class.write(out, [pair], source_lang: "en-GB", target_lang: "it-IT")
    expect { Nokogiri.XML(out, &:strict) }.not_to raise_error
    expect(read(out).map { |one| [one.source, one.target] }).to eq([["{1}abcd & <e>{/1}", "abcd & <e>"]])
    units = ["x&#x1;y &#31;z&#xB;", "<bpt i=\"1\"/>x&#2;y \u0003z<ept i=\"1\"/>"].map do |text|
      "<tu><tuv xml:lang=\"en\"><seg>#{text}</seg></tuv><tuv xml:lang=\"it\"><seg>#{text}</seg></tuv></tu>"
    end
    expect(read("<tmx><body>#{units.join}</body></tmx>").map(&:target)).to eq(["xy z", "{1}xy z{/1}"])
    expect(@counts).to include(read: 2, skipped: 0, faults: [])
  end

  it "brings back what it wrote, codes and attributes too" do
    pair =
      described_class::Pair.new(
        source: "A {1}bold{/1} \\{x} & b{2/}",
        target: "{2/}Un {1}grassetto{/1} <",
        attributes: {
          "author" => "Ines \"C\"",
          "client" => "Pell & Rook",
          "created_at" => "2026-05-12T10:00:00Z",
          "updated_at" => "2026-05-13T10:00:00Z"
        }
      )
    out = +""
    described_class.write(out, [pair], source_lang: "en-GB", target_lang: "it-IT")
    back = read(out).first
    expect([back.source, back.target]).to eq([pair.source, pair.target])
    expect(back.attributes).to include(
      "author" => "Ines \"C\"",
      "client" => "Pell & Rook",
      "created_at" => "2026-05-12T10:00:00Z",
      "updated_at" => "2026-05-13T10:00:00Z"
    )
  end

  it "takes another region of the pair, skips other languages, and reads foreign codes" do
    pairs =
      read(
        '<tmx version="1.4"><header/><body><tu><tuv xml:lang="en-US"><seg>Press <bpt i="1" ' \
          'type="b">&lt;b></bpt>start<ept i="1">&lt;/b></ept> <ph type="fnote"/>now</seg></tuv><tuv ' \
          'xml:lang="it"><seg>Premere <bpt i="1">x</bpt>avvio<ept i="1"/></seg></tuv></tu>' \
          '<tu><tuv xml:lang="en"><seg>a</seg></tuv><tuv xml:lang="fr"><seg>b</seg></tuv></tu></body></tmx>'
      )
    expect(pairs.map(&:source)).to eq(["Press {1}start{/1} {2/}now"])
    expect(pairs.map(&:target)).to eq(["Premere {1}avvio{/1}"])
    expect(@counts).to eq(read: 1, skipped: 1, faults: [])
  end

  it "keeps every attribute, property, note and code it has no use for" do
    xml =
      '<tmx version="1.4"><header srclang="en"/><body><tu tuid="7" creationid="AV" ' \
        'creationdate="20250102T030405Z" changeid="MF" changedate="20260102T030405Z" ' \
        'usagecount="4"><note>Short ' \
        '&amp; sweet</note><prop type="x-client">Tarnholt</prop><prop type="x-own">1</prop>' \
        '<tuv xml:lang="en" o-encoding="x"><prop type="place">menu</prop><seg>Press <bpt i="1" x="1" ' \
        'type="bold">&lt;b&gt;</bpt>start<ept i="1">&lt;/b&gt;</ept><ph x="2" ' \
        'type="br">&lt;br/&gt;</ph></seg>' \
        "</tuv>" \
        '<tuv xml:lang="de"><seg>egal</seg></tuv><tuv xml:lang="it"><seg><ph x="2" ' \
        'type="br">&lt;br/&gt;</ph>Premere <bpt i="1" x="1" type="bold">&lt;b&gt;</bpt>avvio<ept ' \
        'i="1">&lt;/b&gt;</ept></seg></tuv></tu></body></tmx>'
    pair = read(xml).first
    expect([pair.source, pair.target]).to eq(["Press {1}start{/1}{2/}", "{2/}Premere {1}avvio{/1}"])
    expect(pair.attributes).to eq(
      "client" => "Tarnholt",
      "author" => "AV",
      "changed_by" => "MF",
      "created_at" => "2025-01-02T03:04:05Z",
      "updated_at" => "2026-01-02T03:04:05Z",
      "used" => "4"
    )
    expect(pair.extra).to eq(
      "tu" => {
        "tuid" => "7"
      },
      "source" => {
        "o-encoding" => "x"
      },
      "props" => [%w[tu x-own 1], %w[source place menu]],
      "notes" => ["Short & sweet"],
      "others" => ["<tuv xml:lang=\"de\"><seg>egal</seg></tuv>"]
    )
    out = +""
    described_class.write(out, [pair], source_lang: "en", target_lang: "it")
    expect(read(out).first).to eq(pair)
    expect(out).to include(
      '<bpt i="1" x="1" type="bold">&lt;b&gt;</bpt>',
      '<ph x="2" type="br">&lt;br/&gt;</ph>'
    )
  end

  # [seg, written form]
  [
    ["a &amp; b &#169; {1}", "a & b © \\{1}"],
    ["<hi type=\"b\">bold</hi> end", "{1}bold{/1} end"],
    ["<it pos=\"begin\" x=\"1\">b</it>half", "{1/}half"],
    ["<bpt i=\"1\">b</bpt>open", "{1/}open"],
    ["<![CDATA[a < b]]>", "a < b"],
    ["one<ut>x</ut> two<ut>y</ut>", "one{1/} two{2/}"],
    %w[<ph>a<sub>inner</sub></ph>text {1/}text]
  ].each do |seg, written|
    it("reads #{seg} as #{written}") do
      expect(
        read(
          "<tmx version=\"1.4\"><body><tu><tuv lang=\"en\"><seg>#{seg}</seg></tuv><tuv " \
            "xml:lang=\"it\"><seg>x</seg></tuv></tu></body></tmx>"
        ).map(&:source)
      ).to eq([written])
    end
  end

  it "reads other encodings, and units larger than what it reads at a time" do
    xml =
      "<?xml version=\"1.0\" encoding=\"UTF-16\"?><tmx version=\"1.4\"><body><tu><tuv " \
        "xml:lang=\"en\"><seg>Ça #{"long " * 400_000}</seg></tuv><tuv " \
        "xml:lang=\"it\"><seg>è</seg></tuv></tu></body></tmx>"
    expect(
      read("\uFEFF#{xml}".encode("UTF-16LE")).map do |pair|
        [pair.source[0, 4], pair.source.length, pair.target]
      end
    ).to eq([["Ça l", 2_000_003, "è"]])
  end

  it "reads past damaged units and says on which line they are" do
    good = ->(text) do
      "<tu><tuv xml:lang=\"en\"><seg>#{text}</seg></tuv><tuv xml:lang=\"it\"><seg>#{text}</seg></tuv></tu>\n"
    end
    xml =
      "<tmx version=\"1.4\"><body>\n#{good["one"]}<tu><tuv xml:lang=\"en\"><seg>a &nope; b</seg></tuv>" \
        "</tu>\n" \
        "#{good["two"]}<tu><tuv xml:lang=\"en\"><seg>no end</seg>\n#{good["three"]}" \
        "#{good["\xFF".b.force_encoding("UTF-8")]}</body></tmx>"
    expect(read(xml).map(&:source)).to eq(%w[one two three])
    expect(@counts[:faults].map(&:line)).to eq([3, 5, 7])
  end

  it "passes over units in comments, and puts in the entities a file declares, within bounds" do
    unit = ->(text) do
      "<tu><tuv xml:lang=\"en\"><seg>#{text}</seg></tuv><tuv xml:lang=\"it\"><seg>x</seg></tuv></tu >"
    end
    bomb =
      "<!ENTITY a0 \"#{"lol" * 100}\">#{(1..9).map { |n| "<!ENTITY a#{n} \"#{"&a#{n - 1};" * 10}\">" }.join}"
    xml =
      "<!DOCTYPE tmx SYSTEM \"tmx14.dtd\" [<!ENTITY firm \"Tarnholt &amp; &short;\"><!ENTITY short 'TC'>" \
        "#{bomb}<!ENTITY file SYSTEM \"/etc/passwd\">]>\n<tmx version=\"1.4\"><body>" \
        "<!-- #{unit["old"]} -->\n#{unit["By &firm;"]}" \
        "#{unit["<![CDATA[</tu>]]>"]}#{unit["a<!-- </tu> -->b"]}\n#{unit["&a9;"]}\n" \
        "#{unit["&file;"]}#{unit["last"]}<!-- open </body></tmx>"
    expect(read(xml).map(&:source)).to eq(["By Tarnholt & TC", "</tu>", "ab", "last"])
    expect(@counts[:faults].map(&:line)).to eq([4, 5])
  end

  it "refuses what is not TMX, with the line of the fault" do
    expect { read("<tmx><body>\n<tu><tuv></body></tmx>") }.to raise_error(
      Glossema::Refused,
      /m\.tmx is damaged at line 2/
    )
    expect { read("<html></html>") }.to raise_error(Glossema::Refused, /not a TMX/)
  end
end
