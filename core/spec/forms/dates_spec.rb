# Dates as languages write them, after CLDR.
RSpec.describe Glossema::Forms::Dates do
  # [word, language, which month or day]
  [
    ["March", "en-GB", 3],
    ["mar", "en-US", 3],
    ["Sept", "en-GB", 9],
    ["marzo", "it-IT", 3],
    ["März", "de-CH", 3],
    ["kwiecień", "pl", 4],
    ["kwietnia", "pl", 4],
    ["Freitag", "de", :fri],
    ["VENERDÌ", "it", :fri],
    ["bolt", "en", nil],
    ["marzo", "en", nil],
    ["3", "en", nil],
    ["March", "xx", nil]
  ].each do |word, lang, which|
    it("reads #{word} in #{lang} as #{which.inspect}") do
      expect(described_class.name(word, lang)&.which).to eq(which)
    end
  end

  it "writes a name as long as the one it stands for, with its capital" do
    long, short = described_class.name("marzo", "it"), described_class.name("mar", "it")
    expect(
      [
        described_class.written(5, long, "it", "marzo"),
        described_class.written(5, short, "it", "mar"),
        described_class.written(5, long, "it", "Marzo")
      ]
    ).to eq(%w[maggio mag Maggio])
  end

  it "knows the order of the parts" do
    expect(
      {
        "en-US" => [1, 0, 2],
        "en-GB" => [0, 1, 2],
        "it" => [0, 1, 2],
        "ja" => [2, 1, 0],
        "xx" => [0, 1, 2]
      }.to_h { |tag, _| [tag, described_class.order(tag)] }
    ).to eq(
      "en-US" => [1, 0, 2],
      "en-GB" => [0, 1, 2],
      "it" => [0, 1, 2],
      "ja" => [2, 1, 0],
      "xx" => [0, 1, 2]
    )
  end

  # [old, there, new, languages, as it would stand there]
  [
    ["3/14/2025", "14.03.2025", "1/9/2026", %w[en-US de], "09.01.2026"],
    ["14/03/2025", "2025/03/14", "09/01/2026", %w[en-GB ja], "2026/01/09"],
    ["14/03/2025", "15/03/2025", "09/01/2026", %w[en-GB it], nil],
    ["1.2.3", "1.2.3", "2.0.0", %w[en it], nil],
    ["10:30", "10.30", "11:15", %w[en it], nil]
  ].each do |old, there, new, tags, moved|
    it("makes #{moved.inspect} of #{new}, as #{old} stands as #{there}") do
      expect(described_class.moved(old, there, new, tags)).to eq(moved)
    end
  end
end
