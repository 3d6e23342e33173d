# TMX out and in.
RSpec.describe Glossema::Exchange::Tmx do
  def read(xml)
    [].tap { |pairs|
      @counts = described_class.read(xml, name: "m.tmx", source_lang: "en-GB", target_lang: "it-IT") { |pair|
        pairs << pair
      }
    }
  end

  it "brings back what it wrote, codes and attributes too" do
    pair = described_class::Pair.new(source: "A {1}bold{/1} \\{x} & b{2/}", target: "{2/}Un {1}grassetto{/1} <",
                                     attributes: { "author" => "Ines \"C\"", "client" => "Pell & Rook", "created_at" => "2026-05-12T10:00:00Z", "updated_at" => "2026-05-13T10:00:00Z" })
    out = +""
    described_class.write(out, [pair], source_lang: "en-GB", target_lang: "it-IT")
    back = read(out).first
    expect([back.source, back.target]).to eq([pair.source, pair.target])
    expect(back.attributes).to include("author" => "Ines \"C\"", "client" => "Pell & Rook",
                                       "created_at" => "2026-05-12T10:00:00Z", "updated_at" => "2026-05-13T10:00:00Z")
  end

  it "takes another region of the pair, skips other languages, and reads foreign codes" do
    pairs = read('<tmx version="1.4"><header/><body><tu><tuv xml:lang="en-US"><seg>Press <bpt i="1" type="b">&lt;b></bpt>start<ept i="1">&lt;/b></ept> <ph type="fnote"/>now</seg></tuv><tuv xml:lang="it"><seg>Premere <bpt i="1">x</bpt>avvio<ept i="1"/></seg></tuv></tu>' \
                 '<tu><tuv xml:lang="en"><seg>a</seg></tuv><tuv xml:lang="fr"><seg>b</seg></tuv></tu></body></tmx>')
    expect(pairs.map(&:source)).to eq(["Press {1}start{/1} {2/}now"])
    expect(pairs.map(&:target)).to eq(["Premere {1}avvio{/1}"])
    expect(@counts).to eq(read: 1, skipped: 1, faults: [])
  end

  it "refuses what is not TMX, with the line of the fault" do
    expect { read("<tmx><body>\n<tu><tuv></body></tmx>") }.to raise_error(Glossema::Refused, /m\.tmx is damaged at line 2/)
    expect { read("<html></html>") }.to raise_error(Glossema::Refused, /not a TMX/)
  end
end
