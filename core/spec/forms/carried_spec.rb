# What is carried over, from language to language, each in the target's form.
RSpec.describe Glossema::Forms::Carried do
  nbsp, narrow = "\u00A0", "\u202F"
  [
    ["en-GB", "it-IT", "On 12 May 2026 at 2:30 pm ride 25 km/h.",
     [["date", "12 maggio 2026"], ["time", "14:30"], ["unit", "25 km/h"]]],
    ["en-GB", "it-IT", "1,250.5 kg for €1,250.00, or 20 % of 12,000",
     [["unit", "1.250,5 kg"], ["money", "1.250,00#{nbsp}€"], ["unit", "20%"], ["number", "12.000"]]],
    ["en-GB", "it-CH", "1,250.5 kg on 12/05/2026", [["unit", "1’250.5 kg"], ["date", "12.05.2026"]]],
    ["en-GB", "de-DE", "Monday, 12 May 2026, 20%, 1.5 mm",
     [["date", "Montag, 12. Mai 2026"], ["unit", "20#{nbsp}%"], ["unit", "1,5 mm"]]],
    ["en-GB", "fr-FR", "1 May, 1,250 m", [["date", "1er mai"], ["unit", "1#{narrow}250#{narrow}m"]]],
    ["en-GB", "es-ES", "12 May 2026", [["date", "12 de mayo de 2026"]]],
    ["en-GB", "pt-PT", "May 2026", [["date", "maio de 2026"]]],
    ["en-US", "it-IT", "5/12/2026, May 12, 2:30",
     [["date", "12/05/2026"], ["date", "12 maggio"], ["time", "2:30"]]],
    ["en-GB", "en-US", "12 May 2026, 14:30", [["date", "May 12, 2026"], ["time", "2:30 PM"]]],
    ["it-IT", "en-GB", "il 3 marzo 2026 alle 14.30, 1.250,5 kg",
     [["date", "3 March 2026"], ["number", "14.30"], ["unit", "1,250.5 kg"]]],
    ["en-GB", "nl-NL", "25 km/h, 5°C", [["unit", "25 km/u"], ["unit", "5°C"]]],
    ["en-GB", "sv-SE", "12/05/2026 14:30", [["date", "2026-05-12"], ["time", "14.30"]]],
    ["en-GB", "it-IT", "5–10 mm, 5-10 and 1,000–2,500 kg",
     [["range", "5-10 mm"], ["range", "5-10"], ["range", "1.000-2.500 kg"]]],
    ["en-GB", "it-IT", "A2, TRN-2614, EN15194, v2.1, 3rd, 1/2, 1.2.3",
     [["code", "A2"], ["code", "TRN-2614"], ["code", "EN15194"], ["code", "v2.1"], ["number", "3"],
      ["number", "1/2"], ["number", "1.2.3"]]],
    ["en-GB", "it-IT", "See https://x.example/a?b=1. Write to a@b.example, or call +39 0422 123 456.",
     [["link", "https://x.example/a?b=1"], ["address", "a@b.example"], ["code", "+39 0422 123 456"]]],
    ["en-GB", "it-IT", "-5 °C to 40 °C", [["unit", "-5 °C"], ["unit", "40 °C"]]],
    ["en-GB", "it-IT", "You may ride in march.", []]
  ].each do |source, target, text, expected|
    it "carries “#{text}” from #{source} to #{target}" do
      found = described_class.in(text, source, target)
      expect(found.map { |one| [one.kind, one.target] }).to eq(expected)
      expect(found.map { |one| text[one.from...one.to] }).to eq(found.map(&:source))
    end
  end

  JSON.parse(File.read(File.expand_path("../cases/still_to_come.json", __dir__))).each do |one|
    it "has #{one["left"]} of #{one["carried"]} still to come in “#{one["target"]}”" do
      carried = one["carried"].map { |text| Glossema::Forms::Carry.new(0, 0, "code", text, text) }
      expect(described_class.still_to_come(carried, one["target"]).map(&:target)).to eq(one["left"])
    end
  end

  it "never takes a place twice, and keeps the order, whatever stands there" do
    random = Random.new(5)
    pieces = ["1,250", "12 May 2026", "25 km/h", "5–10", "A2", "2:30 pm", "€5", "www.x.example", "and", "-",
              ","]
    100.times do
      text = Array.new(random.rand(1..12)) {
        pieces.sample(random: random)
      }.join([" ", ""].sample(random: random))
      found = described_class.in(text, "en-GB", "it-IT")
      expect(found.each_cons(2).all? { |one, other| one.to <= other.from }).to be(true), text
    end
  end

  it "knows which numbers are often written as words: whole ones up to twelve" do
    carried = described_class.in("Use 3 of 12 bolts, 13 nuts, 2.5 m of wire.", "en", "it")
    expect(carried.map { |one| [one.source, one.may_be_word?] }).to eq(
      [["3", true], ["12", true], ["13", false], ["2.5 m", false]]
    )
  end
end
