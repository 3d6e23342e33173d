# The written form of content, read and written: the cases that the browser is held to as well.
require "json"

RSpec.describe Glossema::Content do
  JSON.parse(File.read(File.expand_path("../cases/written_form.json", __dir__))).each do |one|
    it "reads “#{one["written"]}” and writes it again" do
      content = described_class.from_written(one["written"])
      parts = content.items.map { |item| item.is_a?(String) ? item : [item.kind.to_s, item.id] }
      expect(parts).to eq(one["parts"])
      expect(content.written).to eq(one["written"])
      expect(described_class.plain(one["written"])).to eq(one["plain"])
    end
  end
end
