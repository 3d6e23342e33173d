# What no document can hold is left out: the cases that the browser is held to as well.
require "json"

RSpec.describe Glossema::Content do
  JSON.parse(File.read(File.expand_path("../cases/holdable.json", __dir__))).each do |one|
    it "holds #{one["text"].inspect}" do
      expect(described_class.holdable(one["text"])).to eq(one["holdable"])
    end
  end
end
