# Which words translate which, learned from pairs.
RSpec.describe Glossema::Completion::Lexicon do
  # the house / la casa, the book / il libro, a house / una casa
  pairs = [[[1, 2], [11, 12]], [[1, 3], [13, 14]], [[4, 2], [15, 12]]]

  it "finds what goes together by what does not" do
    lexicon = described_class.learn(pairs, rounds: 8)
    expect(lexicon.likelihood(2, 12)).to be > 0.8
    expect(lexicon.translations(2).first).to eq(12)
    expect(lexicon.likelihood(3, 12)).to eq(0.0)
  end

  it "shares each target word out whole in every round" do
    lexicon = described_class.new.round(pairs)
    sums = [1, 2, 3, 4].map { |word| (11..15).sum { |target| lexicon.likelihood(word, target) } }
    expect(sums).to all(be_within(1e-9).of(1))
  end
end
