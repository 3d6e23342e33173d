# Remarks by kind and severity: how they are read from what a reviser wrote, and what they weigh.
RSpec.describe Glossema::Review::Score do
  def sum(*remarks, words: 1000) = described_class.compute(remarks, words: words)

  it "weighs a remark by its severity, and norms the sum to a thousand words" do
    score = sum(%w[style minor], %w[accuracy/omission major], %w[accuracy critical], %w[style neutral],
      words: 620)
    expect(score).to have_attributes(points: 31, per_thousand: 50.0)
    expect(score.kinds).to eq("accuracy" => { "count" => 2, "points" => 30 },
      "style" => { "count" => 2, "points" => 1 })
    expect(score.severities.keys).to eq(%w[neutral minor major critical])
  end

  it "has no score where nothing was read" do
    expect(sum(%w[style minor], words: 0)).to have_attributes(points: 1, per_thousand: nil)
  end

  describe Glossema::Review::ErrorTypes do
    {
      "style, minor: “ricaricare” everywhere" => ["style", "minor", "“ricaricare” everywhere"],
      "Style / minor" => ["style", "minor", ""],
      "minor omission: the second half" => ["accuracy/omission", "minor", "the second half"],
      "Locale conventions – major: comma" => ["locale-conventions", "major", "comma"],
      "stile, lieve: troppo formale" => ["style", "minor", "troppo formale"],
      "Genauigkeit, schwer: „nicht“ fehlt" => ["accuracy", "major", "„nicht“ fehlt"],
      "exactitude, majeur : contresens" => %w[accuracy major contresens],
      "critical wrong term: see the termbase" => ["terminology/wrong-term", "critical", "see the termbase"],
      "The style here is a minor point: change it" => nil,
      "“ricaricare” everywhere, please" => nil,
      "minor" => nil,
      "style" => nil
    }.each do |written, read|
      it "reads “#{written}”" do
        expect(described_class.read(written)&.to_a).to eq(read)
      end
    end

    it "names every kind and severity in every language that has instructions" do
      Glossema::Review::Instructions.languages.each do |lang|
        names = ->(what) { Glossema::Review::Instructions.names(lang, what).keys }
        expect(names["kinds"]).to eq(described_class::KINDS.keys)
        expect(names["severities"]).to eq(described_class::SEVERITIES.keys)
      end
    end

    it "knows a type and its kind" do
      expect(%w[accuracy accuracy/omission].all? { |type| described_class.type?(type) }).to be(true)
      expect(["accuracy/spelling", "speed", "", nil].any? { |type| described_class.type?(type) }).to be(false)
    end
  end

  describe Glossema::Review::Changes do
    it "counts edits in characters against the longer text" do
      expect(described_class.distance([%w[casa case], ["", "qui"]])).to eq(
        "edits" => 4, "characters" => 7, "percent" => 57.1
      )
      expect(described_class.distance([])).to eq("edits" => 0, "characters" => 0, "percent" => 0.0)
    end
  end
end
