# Where an entry stands and how it was translated there.
RSpec.describe Glossema::Terms::Places do
  def entry(**terms)
    sections = terms.map do |lang, texts|
      list = texts.map { |text| Glossema::Terms::Term.new(text: text) }
      Glossema::Terms::Section.new(lang: lang.to_s, terms: list)
    end
    Glossema::Terms::Entry.new(id: "1", sections: sections)
  end

  it "tells its places in any form, and which of its terms stands in each translation" do
    pad = entry(en: ["brake pad"], it: ["pastiglia del freno", "pattino"])
    answer = described_class.new(pad, %w[en-GB it-IT]).in(
      [[1, "Check the brake pads.", "Controllare le pastiglie del freno."],
       [2, "Check the chain.", "Controllare la catena."],
       [3, "A brake pad wears.", "Un pattino si consuma."],
       [4, "New brake pads squeal.", "Le pastiglie del freno nuove stridono."],
       [5, "Brake pads", "Ganasce"],
       [6, "Brake pads", nil]]
    )
    expect(answer.keys).to eq([1, 3, 4, 5, 6])
    expect(answer.renderings).to eq([["pastiglia del freno", [1, 4]], ["pattino", [3]], [nil, [5]]])
  end

  it "stands nowhere where the entry has no term of the language" do
    answer = described_class.new(entry(nl: ["rem"]), %w[en it]).in([[1, "A brake", "Un freno"]])
    expect(answer.to_a).to eq([[], []])
  end
end
