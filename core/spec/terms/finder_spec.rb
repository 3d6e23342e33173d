# Terms found in texts: by tokens, longest first, in the way each term says.
RSpec.describe Glossema::Terms::Finder do
  def entry(id, lang, *terms, **said)
    list = terms.map { |text| Glossema::Terms::Term.new(text: text, **said) }
    Glossema::Terms::Entry.new(id: id, sections: [Glossema::Terms::Section.new(lang: lang, terms: list)])
  end

  def places(finder, text) = finder.find(text).map { |found| [text[found.from...found.to], found.term.text] }

  [
    ["en", ["brake pad", "pad"], "Replace both brake pads, not one pad.",
     [["brake pads", "brake pad"], ["pad", "pad"]]],
    ["en", ["braking distance"], "The braking, distance", []],
    ["en", ["load*"], "A loaded bicycle and its loading; unload it.",
     [["loaded", "load*"], ["loading", "load*"]]],
    ["en", ["AC/DC"], "Of AC/DC or AC-DC", [["AC/DC", "AC/DC"]]],
    ["it", ["arresto", "pianale posteriore"], "Dell’arresto dei pianali posteriori: l'arresto.",
     [["arresto", "arresto"], ["pianali posteriori", "pianale posteriore"], ["arresto", "arresto"]]],
    ["fr", ["huile"], "Vérifiez l’huile.", [["huile", "huile"]]],
    ["zh", ["制动"], "请检查制动距离。", [["制动", "制动"]]]
  ].each do |lang, terms, text, expected|
    it "finds #{terms} in “#{text}”" do
      finder = described_class.new(lang, terms.map { |term| entry(term, lang, term) })
      expect(places(finder, text)).to eq(expected)
    end
  end

  {
    "exact" => %w[brake Brake],
    "open" => %w[brake brakes Brake brakeless],
    "alike" => %w[brake brakes Brake]
  }.each do |way, found|
    it "recognises “brake” #{way}" do
      words = %w[brake brakes Brake brakeless break]
      [described_class.new("en", [entry("1", "en", "brake", recognise: way)]),
       described_class.new("en", [entry("1", "en", "brake")], recognise: way)].each do |finder|
        expect(words.select { |word| finder.find(word).any? }).to eq(found)
      end
    end
  end

  it "looks at case where it counts" do
    finder = described_class.new("en", [entry("1", "en", "Tarn", cased: true)])
    expect(places(finder, "A tarn, the Tarn, TARN, Tarns")).to eq([%w[Tarn Tarn], %w[Tarns Tarn]])
  end

  it "keeps what stands at the same place, and takes entries in and out" do
    finder = described_class.new("en", [entry("1", "en", "rim"), entry("2", "en", "rim")])
    expect(finder.find("rims").map { |found| found.entry.id }).to eq(%w[1 2])
    finder.put("1", nil)
    finder.put("3", entry("3", "en", "wheel rim"))
    expect(finder.find("the wheel rims").map { |found| found.entry.id }).to eq(["3"])
  end

  it "finds a term through codes, which are no words" do
    content = Glossema::Content.from_written("Loosen the {1}brake{/1} {2/}pad.")
    finder = described_class.new("en", [entry("1", "en", "brake pad")])
    expect(finder.find(content.text).size).to eq(1)
  end

  it "finds in any text of its terms each one that stands alone" do
    random = Random.new(3)
    words = %w[rim hub fork chain lever saddle pedal spoke]
    finder = described_class.new("en", words.map { |word| entry(word, "en", word) })
    50.times do
      chosen = words.sample(random.rand(1..5), random: random)
      expect(finder.find(chosen.join(", ")).map { |found| found.term.text }).to eq(chosen)
    end
  end
end
