# Counting, as a table of real cases.
RSpec.describe Glossema::Counting do
  {
    "The dog sat." => 3,
    "a well-known maker’s guide" => 4,
    "dogs' don't" => 2,
    "12.5 kg" => 2,
    "1 000" => 2,
    "1\u00A0000 and 12\u202F345,5" => 3,
    "12:30, 1/2, 2026-11-23, 23.11.2026" => 4,
    "Write to ines@calloway.example or https://tarnholt.example/a-b?c=1." => 5,
    "and/or" => 2,
    "A2 B-12" => 2,
    "— … •" => 0,
    "" => 0,
    "e.g. this" => 2,
    "日本語です" => 5,
    "ภาษาไทย" => 7,
    "ที่นี่" => 2,
    "L’acqua è pronta" => 3,
    "_ __" => 0,
    "3D-printed (v1.2)" => 2,
    "Привет, мир" => 2,
    "x;y 1;2" => 3
  }.each do |text, words|
    it("counts #{words} in #{text.inspect}") do
      expect(described_class::Count.count(Glossema::Content.text(text)).words).to eq(words)
    end
  end

  it "counts grapheme clusters, with and without spaces, and codes apart" do
    count = described_class::Count.count(Glossema::Content.from_written("{1}e\u0301 👩‍🔧{/1} x{2/}"))
    expect([count.characters, count.characters_without_spaces, count.codes]).to eq([5, 3, 2])
  end

  it "splits by band, repetitions inside, and adds up" do
    match = ->(kind, score) { Glossema::Matching::Match.new(kind: kind, score: score) }
    segments = [
      ["one two", nil],
      ["one two", nil],
      ["three", match["exact", 100]],
      ["four", match["context", 100]],
      ["five", match["fuzzy", 87]],
      ["five", match["fuzzy", 87]]
    ]
    bands =
      described_class::Bands.assign(segments.map { |text, found| [Glossema::Content.text(text), found] })
    expect(bands).to eq(%w[new repetition exact context 85-94 repetition])
    sum =
      described_class::Bands.sum(
        bands.zip(segments.map { |text, _| described_class::Count.count(Glossema::Content.text(text)) })
      )
    expect(sum.values.sum { |band| band["words"] }).to eq(8)
  end

  it "knows languages by their tags and texts" do
    expect(%w[en de-CH zh-Hant-TW es-419].all? { |tag| Glossema::Languages.valid?(tag) }).to be(true)
    expect(["", "english", "EN", "en_GB"].none? { |tag| Glossema::Languages.valid?(tag) }).to be(true)
    expect(
      Glossema::Languages.guess(
        "The bicycle is for the transport of goods and it must not be used on stairs."
      )
    ).to eq("en")
    expect(
      Glossema::Languages.guess(
        "De fiets is voor het vervoer van goederen en mag niet op trappen worden gebruikt."
      )
    ).to eq("nl")
    expect(
      Glossema::Languages.guess(
        "La bicicletta è destinata al trasporto di merci e non deve essere usata per le scale."
      )
    ).to eq("it")
    expect(Glossema::Languages.guess("OK 12")).to be_nil
  end
end

RSpec.describe Glossema::Counting::Tokens do
  it "cuts ASCII texts by its faster pattern as by the whole one" do
    random = Random.new(5)
    pieces =
      "a Bc 12 3.5 _x - ' . : / @ www. http://a.b/c?d x@y.org e.g. (a) \"q\" 1/2 10:30 a-b don't {x} %s " \
        "C:\\d a.b/c,d , ; ! ? & # ~".split +
      [" ", "  ", "\n", "\t", "\u0007"]
    3000.times do
      text = Array.new(random.rand(1..12)) { pieces.sample(random: random) }.join
      expect(described_class.texts(text)).to eq(text.scan(described_class::PATTERN)), text.inspect
    end
  end
end
