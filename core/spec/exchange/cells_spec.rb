# What leaves as CSV is no formula to a spreadsheet, and comes back as it was.
RSpec.describe Glossema::Exchange::Cells do
  it "puts an apostrophe before what would be a formula, and takes it off again" do
    { "=1+1" => "'=1+1", "@x" => "'@x", "-able" => "'-able", "\t=1" => "'\t=1", "+cmd" => "'+cmd" }
      .each do |cell, harmless|
        expect(described_class.harmless(cell)).to eq(harmless)
        expect(described_class.plain(harmless)).to eq(cell)
      end
  end

  it "leaves numbers, other text and what is no text as it is" do
    ["-2.50", "+3", "-1 240,5", "a=b", "", "'tis", "l’età", 5, nil].each do |cell|
      expect(described_class.harmless(cell)).to eq(cell)
      expect(described_class.plain(cell)).to eq(cell)
    end
  end
end
