# Codes of a source and a target, weighed against each other: the cases that the browser is held to as well.
require "json"

RSpec.describe Glossema::Content::Balance do
  JSON.parse(File.read(File.expand_path("../cases/balance.json", __dir__))).each do |one|
    it "weighs #{one["source"]} against #{one["target"]}" do
      balance = described_class.new(one["source"], one["target"])
      expect([balance.missing, balance.added]).to eq(one.values_at("missing", "added"))
      expect(balance.even?).to be((one["missing"] + one["added"]).empty?)
    end
  end
end
