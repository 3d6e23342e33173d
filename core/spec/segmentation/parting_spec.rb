# A translation parted where its source was cut.
RSpec.describe Glossema::Segmentation::Parting do
  code = Glossema::Code.new(id: 1, kind: :open, key: "f1", type: "format", equiv: "")
  {
    ["Controllare i freni. Suonare il campanello.",
     0.45] => ["Controllare i freni.", "Suonare il campanello."],
    ["Uno. Due tre quattro cinque sei.", 0.6] => ["Uno. Due tre quattro", "cinque sei."],
    ["Controllare prima i freni poi il campanello",
     0.5] => ["Controllare prima i", "freni poi il campanello"],
    ["Insieme", 0.5] => ["Insieme", ""]
  }.each do |(text, share), halves|
    it "parts “#{text}” at #{share}" do
      found = described_class.halves(Glossema::Content.text(text), share, "it-IT")
      expect(found.map(&:text)).to eq(halves)
    end
  end

  it "closes a pair that runs over the cut, and opens it again" do
    target = Glossema::Content.new([code, "Uno due. Tre quattro.", code.with(kind: :close)])
    expect(described_class.halves(target, 0.5, "it").map(&:written)).to eq(["Uno due.", "Tre quattro."])
    bold = Glossema::Content.new(["Ah ", code, "uno due. Tre", code.with(kind: :close), " quattro."])
    expect(described_class.halves(bold, 0.5,
      "it").map(&:written)).to eq(["Ah {1}uno due.{/1}", "{1}Tre{/1} quattro."])
  end
end
