# How frequent words are in a language at large.
RSpec.describe Glossema::Terms::GeneralWords do
  { "en" => %w[the water kickstand], "it" => %w[di acqua cavalletto], "nl" => %w[de water remblok],
    "de" => %w[der wasser bremsbelag], "fr" => %w[de eau plaquette] }.each do |lang, words|
    it "ranks #{words.join(", ")} in #{lang}, the most frequent first" do
      ranks = words.map { |word| described_class.for(lang).rank(word) }
      expect(ranks).to eq(ranks.sort)
      expect(ranks.first).to be <= 20
    end
  end

  it "takes regions and case for nothing, and knows nothing of a language without a list" do
    expect(described_class.for("en-GB").rank("THE")).to eq(described_class.for("en").rank("the"))
    expect(described_class.for("xx").rank("the")).to eq(described_class::RARE)
  end
end
