# Bilingual text as XLIFF 2.1: what is written is read again as it was, with states and where it came from.
RSpec.describe Glossema::Exchange::Xliff do
  def row(source, target, **more)
    given = { id: "u1:1", unit: "u1", state: target ? "draft" : "untouched" }.merge(more)
    described_class::Row.new(source: source, target: target, **given)
  end

  def written(*rows) = described_class.write("a.docx", %w[en-GB it-IT], rows)
  def read(text) = Glossema::Document.new(text, name: "a.xlf").segments

  def content(written) = Glossema::Content.from_written(written)

  it "is read again with the same texts, codes and states, whatever stands in them" do
    texts = ["Check it", "a & <b> 'c'", "Check {1}this{/1} now", "{1}a {2}b{/2} c{/1} d", "a{1/}b{2/}c",
             "x{1}{2/}{/1}y", "é\u00A0ü", "a  b", "{1}one{/1} two {2}three{/2}", "日本 {1}語{/1}!"]
    rows = texts.each_with_index.map do |text, index|
      row(content(text), content("#{text}!"), id: "u#{index}:1", unit: "u#{index}",
        state: %w[draft translated reviewed final][index % 4])
    end
    found = read(written(*rows))
    expect(found.map { |one| one.content.written }).to eq(texts)
    expect(found.map { |one| one.target.written }).to eq(texts.map { |text| "#{text}!" })
    expect(found.map(&:state)).to eq(rows.map(&:state))
  end

  it "is well-formed whatever the texts hold" do
    xml = written(row(content("a\u0001b"), content("c\u000Bd"), note: "e\uFFFEf"))
    expect { Nokogiri.XML(xml, &:strict) }.not_to raise_error
    expect(read(xml).map { |one| [one.content.written, one.target.written] }).to eq([%w[ab cd]])
  end

  it "says where a target came from, and what it came from as a candidate" do
    origin = { "kind" => "fuzzy", "score" => 84, "memory" => "Tarnholt", "source" => "Check {1}it{/1}." }
    xml = Nokogiri.XML(written(row(content("Check {1}this{/1}."), content("Controllare {1}questo{/1}."),
      origin: origin, note: "Button"), row(content("Stop."), nil, id: "u1:2")))
    xml.remove_namespaces!
    expect(xml.at("match").to_h).to include("ref" => "#su1:1", "matchQuality" => "84", "origin" => "Tarnholt")
    expect(xml.at("match source").text).to eq("Check it.")
    expect(xml.search("unit").size).to eq(1)
    expect(xml.search("segment").map { |one| one.to_h.slice("state", "subState") }).to eq(
      [{ "state" => "initial", "subState" => "glossema:fuzzy" }, { "state" => "initial" }]
    )
    expect(xml.at("segment source").to_xml).to include("<pc id=\"1\">this</pc>")
    expect(xml.search("segment")[1].at("target")).to be_nil
    expect(xml.at("note").text).to eq("Button")
  end

  it "writes pairs that do not nest as an opening and a closing code" do
    codes = [[:open, 1], [:open, 2], [:close, 1], [:close, 2]].map do |kind, id|
      Glossema::Code.new(id: id, kind: kind)
    end
    crossed = Glossema::Content.new(["a ", codes[0], "b ", codes[1], "c", codes[2], " d", codes[3]])
    xml = Nokogiri.XML(written(row(crossed, nil))).remove_namespaces!
    expect(xml.at("source").children.map(&:name)).to include("sc", "ec")
    expect(xml.at("source").text).to eq("a b c d")
  end
end
