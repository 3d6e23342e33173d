# What may follow the text she has typed: learned from a memory, from terms, from the source.
RSpec.describe Glossema::Completion::Ahead do
  units = [
    ["Replace the brake pads.", "Sostituire le pastiglie dei freni."],
    ["Check the brake pads.", "Controllare le pastiglie dei freni."],
    ["Check the front wheel.", "Controllare la ruota anteriore."],
    ["Tighten the front wheel.", "Serrare la ruota anteriore."],
    ["The rear wheel is heavy.", "La ruota posteriore è pesante."],
    ["Replace the chain.", "Sostituire la catena."],
    ["Check the chain every month.", "Controllare la catena ogni mese."],
    ["Lock the front wheel every evening.", "Bloccare la ruota anteriore ogni sera."]
  ]
  model = Glossema::Completion::Model.learn(units)

  def context(*models, source, **known)
    Glossema::Completion::CompletionContext.gather(models, source, **known)
  end

  def texts(model, source, prefix, **known)
    described_class.new(context(model, source, **known)).offers(prefix).map(&:text)
  end

  # source, prefix, what the first offer begins with
  [
    ["Check the rear wheel.", "", "Controllare"],
    ["Check the rear wheel.", "Controllare la ruota ", "posteriore"],
    ["Check the rear wheel.", "Controllare la ruota p", "osteriore"],
    ["Replace the front wheel.", "S", "ostituire"],
    ["Replace the front wheel.", "Sostituire la ruota", " anteriore"],
    ["Tighten the brake pads.", "Serrare le p", "astiglie dei freni"]
  ].each do |source, prefix, expected|
    it "goes on from “#{prefix}” of “#{source}” with “#{expected}”" do
      expect(texts(model, source, prefix).first).to start_with(expected)
    end
  end

  it "offers terms, what is carried over and names of the source, as what they are" do
    source = "Fit the Wren 24 with 1,250 spokes and <strong>hubs</strong>."
    ahead = described_class.new(context(model, source, terms: ["raggi di acciaio"], carried: ["1.250"]))
    expect(ahead.offers("Montare ra").map { |offer|
      offer.to_a.first(2)
    }).to include(["ggi di acciaio", "term"])
    expect(ahead.offers("Montare 1").map { |offer| offer.to_a.first(2) }).to include([".250", "carried"])
    expect(ahead.offers("Montare W").map { |offer| offer.to_a.first(2) }).to include(%w[ren source])
    expect(ahead.offers("Montare <", limit: 20).map(&:text)).to include("strong>")
  end

  it "offers no more than asked for, nothing twice and nothing empty, whatever is typed" do
    typed = ["", " ", "X", "Controllare  ", "Controllare la ruota.", "(", "<", "\\", "Controllare\n", "è",
             "🙂", "日本"]
    typed.each do |prefix|
      found = texts(model, "Check the front wheel (A2).", prefix)
      expect(found.size).to be <= 5
      expect(found.uniq).to eq(found)
      expect(found.grep(/\A\s*\z/)).to eq([])
    end
  end

  it "learns a unit more at once" do
    learned = Marshal.load(Marshal.dump(model))
    expect(texts(learned, "Grease the spokes.", "Ingr")).to eq([])
    learned.add("Grease the spokes.", "Ingrassare i raggi.")
    expect(texts(learned, "Grease the spokes.", "Ingr").first).to start_with("assare")
  end

  cases = JSON.parse(File.read(File.expand_path("../cases/completion.json", __dir__)))
  cases.each do |one|
    it "offers what the browser does for “#{one["context"]["source"]}”" do
      ahead = described_class.new(Glossema::Completion::CompletionContext.new(**one["context"]))
      one["offers"].each do |asked|
        expect(ahead.offers(asked["prefix"]).map { |offer| offer.to_a.first(2) }).to eq(asked["texts"])
      end
    end
  end

  it "knows from several memories what each of them knows, weighed by how often it met a word" do
    other = Glossema::Completion::Model.learn([["Grease the brake pads.", "Ingrassare i ceppi."]])
    ahead = described_class.new(context(model, other, "Grease the brake pads."))
    expect(ahead.offers("Ingr").first.text).to start_with("assare")
    expect(ahead.offers("Ingrassare le p").first.text).to start_with("astiglie")
    whole = context(model, "Check the chain.")
    expect(whole.rarity.last).to be_within(0.001).of(context(model, model, "Check the chain.").rarity.last)
    expect(described_class.new(context("Fit the Wren 24.")).offers("Montare W").map(&:text)).to eq(["ren"])
  end

  it "takes the translations of matches for units like the source" do
    source = "Stow the cargo net."
    plain = described_class.new(context(model, source)).offers("Riporre la ")
    matched = described_class.new(context(model, source, matches: [[0.9, "Riporre la rete di carico."]]))
    expect(plain.map(&:text).grep(/rete/)).to eq([])
    expect(matched.offers("Riporre la ").first.text).to start_with("rete")
  end

  it "offers no figures but those of the source" do
    loads = [["Load 300 kg at most.", "Caricare al massimo 300 kg."], ["Load 80 kg.", "Caricare 80 kg."]]
    learned = Glossema::Completion::Model.learn(units + loads)
    matches = [[0.95, "Caricare al massimo 300 kg."]]
    ["", "Caricare ", "Caricare al massimo ", "Caricare al massimo 500"].each do |prefix|
      offers = texts(learned, "Load 500 kg at most.", prefix, matches: matches, carried: ["500"])
      expect(offers.grep(/[38]\d/)).to eq([]), prefix
    end
  end

  it "answers the same after being kept in a file" do
    kept = Marshal.load(Marshal.dump(model))
    ["", "Con", "Controllare la "].each do |prefix|
      expect(texts(kept, "Check the chain.", prefix)).to eq(texts(model, "Check the chain.", prefix))
    end
  end

  it "saves more than half of the keys of texts made of what it knows" do
    pairs = [["Tighten the chain every month.", "Serrare la catena ogni mese."],
             ["Replace the front wheel.", "Sostituire la ruota anteriore."]]
    pairs.each { |source, target| expect(saved(model, source, target)).to be > 0.5 }
  end

  # The share of key presses saved by whoever takes the best of the offers: one key for the first, one more
  # for each place down.
  def saved(model, source, target)
    ahead, typed, keys = described_class.new(context(model, source)), +"", 0
    until typed == target
      fitting = ahead.offers(typed).each_with_index.select { |offer, _|
        target[typed.length..].start_with?(offer.text)
      }
      best, place = fitting.max_by { |offer, at| offer.text.length - at }
      gain = best && best.text.length > place + 1
      typed << (gain ? best.text : target[typed.length])
      keys += gain ? place + 1 : 1
    end
    1 - (keys / target.length.to_f)
  end
end
