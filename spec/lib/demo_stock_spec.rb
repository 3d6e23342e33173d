# The demo's Italian agrees: articles, prepositions and endings.
require Rails.root.join("demo/stock").to_s

RSpec.describe Demo::Stock do
  # [Italian, gender] → [the, of the, to the, a]
  {
    %w[freno m] => ["il freno", "del freno", "al freno", "un freno"],
    %w[sella f] => ["la sella", "della sella", "alla sella", "una sella"],
    %w[asse m] => ["l’asse", "dell’asse", "all’asse", "un asse"],
    %w[zaino m] => ["lo zaino", "dello zaino", "allo zaino", "uno zaino"],
    %w[sponda f] => ["la sponda", "della sponda", "alla sponda", "una sponda"],
    %w[insalatiera f] => %w[l’insalatiera dell’insalatiera all’insalatiera un’insalatiera]
  }.each do |(noun, gender), forms|
    it "puts articles before #{noun}" do
      thing = described_class::Thing.new("bike", "thing", noun, gender)
      expect([thing.the, thing.of_the, thing.to_the, thing.one]).to eq(forms)
    end
  end

  it "makes each sentence once, in both languages, with the same numbers" do
    stock = described_class.new(Rails.root.join("demo/texts/parts.tsv"))
    rows = stock.bikes + stock.clay
    expect(rows.size).to be > 1300
    expect(rows.map { |_, source, _| source }.tally.values.max).to eq(1)
    expect(rows.reject { |_, source, target| source.scan(/\d+/) == target.scan(/\d+/) }).to eq([])
    expect(rows.flatten.join).not_to match(/#[{<]|  | (?:di|a|su) (?:il|lo|la|l’)/)
  end
end
