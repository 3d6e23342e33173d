# Checks of her own: expressions on both sides with conditions.
RSpec.describe Glossema::Checks::Own do
  def found(rule, source, target, lang: "it-IT")
    pair = Glossema::Checks::Pair.new(source: Glossema::Content.from_written(source),
      target: Glossema::Content.from_written(target), source_lang: "en", target_lang: lang)
    described_class.new({ "name" => "Mine", "message" => "look here", **rule }).findings(pair)
  end

  [
    [{ "target" => "premi\\b" }, "Press", "premi qui", 1],
    [{ "target" => "premi\\b" }, "Press", "premere qui", 0],
    [{ "source" => "Press", "target" => "premi\\b" }, "Push", "premi qui", 0],
    [{ "target" => "PREMI", "case" => false }, "Press", "premi qui", 1],
    [{ "target" => "PREMI" }, "Press", "premi qui", 0],
    [{ "source" => "\\bkg\\b", "target" => "\\bkg\\b", "way" => "must" }, "80 kg", "80 chili", 1],
    [{ "source" => "\\bkg\\b", "target" => "\\bkg\\b", "way" => "must" }, "80 kg", "80 kg", 0],
    [{ "source" => "!", "target" => "!", "way" => "as-often" }, "Stop! Now!", "Subito!", 1],
    [{ "source" => "!", "target" => "!", "way" => "as-often" }, "Stop! Now!", "Fermo! Subito!", 0],
    [{ "source" => "part (\\w+)", "target" => "pezzo $1", "way" => "must" }, "part B7", "pezzo B9", 1],
    [{ "source" => "part (\\w+)", "target" => "pezzo $1", "way" => "must" }, "part B7", "pezzo B7", 0],
    [{ "target" => "tu", "unless" => "virtù" }, "virtue", "virtù tu", 0],
    [{ "target" => "ß", "languages" => ["de-CH"] }, "street", "Straße", 0]
  ].each do |rule, source, target, count|
    it "#{rule} finds #{count} in #{target.inspect}" do
      expect(found(rule, source, target).size).to eq(count)
    end
  end

  it "keeps to the languages it is for, with and without a region" do
    rule = { "target" => "ß", "languages" => %w[de-CH nl] }
    expect(found(rule, "street", "Straße", lang: "de-CH").size).to eq(1)
    expect(found(rule, "street", "Straße", lang: "de-DE")).to eq([])
    expect(found(rule, "street", "ß", lang: "nl-BE").size).to eq(1)
  end

  it "says where, and mends what it says how to" do
    one = found({ "target" => "(\\d+)ºC", "replace" => "\\1 °C", "level" => "must-fix" }, "8 °C",
      "a 8ºC").first
    expect(one).to have_attributes(level: "must-fix", message: "Mine: look here", target: [[2, 5]],
      fix: "a 8 °C")
  end

  [{ "target" => "" }, { "target" => "x", "way" => "never" }, { "target" => "x", "level" => "bad" },
   { "target" => "x", "message" => nil }, { "target" => "x", "languages" => "it" }].each do |rule|
    it "refuses #{rule}" do
      expect { found(rule, "a", "b") }.to raise_error(Glossema::Refused, /needs a name, an expression/)
    end
  end

  it "refuses what is no expression, also one that takes up what the source caught" do
    [{ "target" => "(" }, { "source" => "(", "target" => "x" },
     { "source" => "(a)", "target" => "$1(" }].each do |rule|
      expect { found(rule, "a", "b") }.to raise_error(Glossema::Refused, /not a valid regular expression/)
    end
  end
end
