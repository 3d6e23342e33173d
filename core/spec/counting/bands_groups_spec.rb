# Bands in the groups that are seen together in a bar.
RSpec.describe Glossema::Counting::Bands do
  it "puts every band into one group, and loses no word" do
    expect(described_class::GROUPS.values.flatten).to match_array(described_class::NAMES)
    table = described_class::NAMES.each_with_index.to_h { |name, index| [name, { "words" => 1 << index }] }
    grouped = described_class.grouped(table)
    expect(grouped.values.sum).to eq(255)
    expect(grouped).to eq("known" => 1 + 4, "repetition" => 2, "85" => 8 + 16, "50" => 32 + 64, "new" => 128)
  end

  it "counts bands that are not there as none" do
    expect(described_class.grouped({ "new" => { "words" => 3 } })).to include("known" => 0, "new" => 3)
  end
end
