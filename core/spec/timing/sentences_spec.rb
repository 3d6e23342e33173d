# Sentences that run over several cues: found, and divided over them again.
RSpec.describe Glossema::Timing::Sentences do
  def shown(*texts, gap: 0.1)
    texts.each_with_index.map do |text, at|
      [Glossema::Timing::Cue.new(number: at + 1, start: at * (2 + gap), finish: (at * (2 + gap)) + 2), text]
    end
  end

  # language, texts → the indexes that are one
  [
    ["en", ["Heavy things go low and close\nto the rear wheel,", "never on the front rack.",
            "Tighten every strap."],
     [[0, 1]]],
    ["en", ["Load it", "with care", "and slowly.", "Then ride."], [[0, 1, 2]]],
    ["en", ["LOADING SAFELY", "before you load, stop."], []],
    ["en", ["Wait...", "...until it stands.", "And then?", "Go."], [[0, 1]]],
    ["en", ["Look at the", "Tarnholt Cargo.", "Yes."], [[0, 1]]],
    ["en", ["Ready", "- Not yet."], []],
    ["en", ["Ready", "Then we go."], []],
    ["de", ["Stellen Sie das Rad auf den", "Ständer.", "Gut."], [[0, 1]]],
    ["it", ["Gli oggetti pesanti vanno in basso,", "mai davanti."], [[0, 1]]],
    ["ja", ["重い荷物は下に", "置いてください。"], [[0, 1]]],
    ["en", [], []]
  ].each do |lang, texts, groups|
    it("finds #{groups.inspect} in #{texts.inspect}") {
      expect(described_class.new(lang).groups(shown(*texts))).to eq(groups)
    }
  end

  it "never joins over a long pause, or backwards" do
    expect(described_class.new("en").groups(shown("Load it", "with care.", gap: 4))).to eq([])
    expect(described_class.new("en").groups(shown("Load it", "with care.").reverse)).to eq([])
  end
end

RSpec.describe Glossema::Timing::Dividing do
  [
    ["it", "I pesi vanno in basso, vicino alla ruota posteriore, mai sul portapacchi anteriore.", [2.7, 2],
     ["I pesi vanno in basso,\nvicino alla ruota posteriore,", "mai sul portapacchi anteriore."]],
    ["nl", "Zware dingen horen laag en dicht bij het achterwiel, nooit op het voorrek.", [3, 1.5],
     ["Zware dingen horen laag\nen dicht bij het achterwiel,", "nooit op het voorrek."]],
    ["de", "Schwere Dinge gehören nach unten, nie auf den vorderen Träger.", [2, 2],
     ["Schwere Dinge gehören nach unten,", "nie auf den vorderen Träger."]],
    ["en", "Go", [1, 1], ["Go", ""]]
  ].each do |lang, text, durations, parts|
    it("divides #{text.inspect} over #{durations}") do
      expect(described_class.new(lang).divide(text, durations)).to eq(parts)
    end
  end

  it "keeps every word, in order, whatever the times are" do
    random = Random.new(7)
    40.times do
      words = Array.new(random.rand(1..30)) {
        "la ruota, e vicino a basso posteriore.".split.sample(random: random)
      }
      durations = Array.new(random.rand(2..4)) { random.rand * 5 }
      parts = described_class.new("it").divide(words.join(" "), durations)
      expect(parts.size).to eq(durations.size)
      expect(parts.flat_map(&:split)).to eq(words)
    end
  end
end

RSpec.describe Glossema::Timing::Film do
  it "knows films by how they begin" do
    expect(described_class.kind("\0\0\0\x20ftypisom")).to eq("video/mp4")
    expect(described_class.kind("\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01B\x82\x84webm".b)).to eq("video/webm")
    expect(described_class.kind("\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01B\x82\x88matroska".b)).to be_nil
    expect(described_class.kind("1\n00:00")).to be_nil
    expect(described_class.kind("")).to be_nil
  end
end
