# Locations of units: data that JSON can hold, and their text.
RSpec.describe Glossema::Location do
  at = ->(kind, **details) { described_class.new(kind, **details) }
  slide = at["slide", number: 2]
  {
    "menu.open" => described_class.named("menu.open"),
    "heading 4" => described_class.block("heading-2", 4),
    "list item" => described_class.block("list-item"),
    "table 1 · row 2 · column 3" => at["table", number: 1, row: 2, column: 3],
    "Prices 100% · B4" => at["sheet-cell", sheet: "Prices 100%", cell: "B4"],
    "row 7 · column C" => at["row", number: 7, column: "C"],
    "slide 2 · row 1 · column 2" => described_class.cell(slide, 1, 2),
    "a.xhtml · paragraph" => at["paragraph", within: described_class.named("a.xhtml")],
    "cue 3 · 0:01.5 → 0:03 · top left" =>
      at["cue", cue: 3, start: "0:01.5", end: "0:03", placement: "top left"],
    "cue 1 · 0:01.5 → ?" => at["cue", cue: 1, start: "0:01.5"]
  }.each do |words, location|
    it "says “#{words}”, also after it was stored" do
      expect(described_class.text(location)).to eq(words)
      stored = JSON.parse(location.to_json)
      expect(stored).to eq(location)
      expect(described_class.fits?(stored)).to be(true)
    end
  end

  it "has a text for every kind that a format gives to a unit" do
    files = Dir[File.join(Glossema::ROOT, "lib/glossema/formats/**/*.rb")]
    sources = files.map { |path| File.read(path) }.join
    kinds = sources.scan(/Location\.(?:new|block)\(\s*"([a-z0-9-]+)"/).flatten.uniq
    expect(kinds.size).to be > 25
    expect(kinds - described_class.catalogue.keys).to eq([])
  end

  it "reads what earlier versions stored in words" do
    ["cue 3 · 00:00:01,000 → 00:00:04,200", "cue 12 · 00:01.000 → ? · top right"].each do |words|
      location = described_class.parse(words)
      expect(location["kind"]).to eq("cue")
      expect(described_class.text(location)).to eq(words)
    end
    ["cue 1", "table 2 · row 1 · column 1", "menu.open"].each do |words|
      expect(described_class.parse(words)).to eq(described_class.named(words))
    end
  end

  it "refuses what cannot be worded" do
    unknown = { "kind" => "moon" }
    [
      nil, "slide", {}, unknown, { "kind" => ["row"] }, { "kind" => "slide", "number" => [1] },
      { "kind" => "row", "within" => unknown },
      { "kind" => "cue", "cue" => 1, "placement" => "nowhere" }, { "kind" => "cue", "placement" => 3 },
      { "kind" => "row", "within" => "a.xhtml" }, { "kind" => 5 },
      (1..60).reduce(slide) { |inner, _| slide.merge("within" => inner) }
    ].each do |value|
      expect(described_class.fits?(value)).to be(false), value.inspect[0, 80]
    end
  end
end
