# Candidates of a text: what comes again and again, has the shape of a term and is not known.
RSpec.describe Glossema::Terms::Candidates do
  texts = [
    "Check the braking distance before you ride.", "The braking distance grows with the load.",
    "A loaded bicycle needs a longer braking distance.", "Check the kickstand of the bicycle.",
    "The double kickstand folds up.", "Fold the double kickstand down before you load the bicycle.",
    "You should always look at the kickstand."
  ]

  it "finds words and groups with their count, the likeliest first, and sentences they stand in" do
    found = described_class.new(texts, "en").list
    expect(found.map(&:term)).to include("braking distance", "double kickstand", "kickstand", "bicycle")
    expect(found.map(&:term)).not_to include("braking", "distance", "always", "you", "should")
    expect(found.map(&:score)).to eq(found.map(&:score).sort.reverse)
    best = found.find { |one| one.term == "braking distance" }
    expect(best).to have_attributes(count: 3, examples: texts.first(3))
  end

  it "leaves out what a termbase has, in any form, and what was refused" do
    term = Glossema::Terms::Term.new(text: "braking distances")
    known = Glossema::Terms::Entry.new(id: "1",
      sections: [Glossema::Terms::Section.new(lang: "en", terms: [term])])
    found = described_class.new(texts, "en", known: [known], refused: ["Kickstands"]).list.map(&:term)
    expect(found).to include("bicycle", "double kickstand")
    expect(found).not_to include("braking distance", "kickstand")
  end

  it "joins words of Italian terms by small ones" do
    found = described_class.new(["Lo spazio di frenata cresce.", "Misurare lo spazio di frenata."], "it").list
    expect(found.first.term).to eq("spazio di frenata")
  end
end
