# Which inline code may come next, and how likely it is.
RSpec.describe Glossema::Completion::Codes do
  JSON.parse(File.read("#{__dir__}/../cases/next_code.json")).each do |one|
    it "expects #{one["next"].inspect} after #{one["target"].inspect} for #{one["source"].inspect}" do
      source, target = one.values_at("source", "target").map { |text| Glossema::Content.from_written(text) }
      expect(described_class.next(source, target)).to eq(one["next"])
    end
  end
end
