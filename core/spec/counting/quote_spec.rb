# What a count costs: cases computed by hand, which the browser is held to as well.
RSpec.describe Glossema::Counting::Quote do
  def quote(bands, rates) = described_class.new(bands, Glossema::Counting::Rates.new(rates))

  cases = JSON.parse(File.read(File.expand_path("../cases/quote.json", __dir__)))
  cases.each do |given|
    it given["says"] do
      expect(quote(given["bands"], given["rates"]).to_h).to include(
        given.slice("weighted_words", "net", "rush", "total")
      )
    end
  end

  it "has a line for each band that adds up to the weighted words and, unrounded, to the price" do
    given = cases[1]
    answer = quote(given["bands"], given["rates"]).to_h
    expect(answer["lines"].map { |line| line["band"] }).to eq(Glossema::Counting::Bands::NAMES)
    expect(answer["lines"][1]).to eq(
      "band" => "repetition",
      "words" => 121,
      "weight" => "0.1",
      "weighted" => "12.1",
      "price" => "1.452"
    )
    sums = %w[weighted price].map { |name| answer["lines"].sum { |line| BigDecimal(line[name]) }.to_s("F") }
    expect(sums).to eq(["1610.2", "193.224"])
  end

  good = { "currency" => "EUR", "rate" => "0.12" }
  {
    "rate-wrong" => [
      { "rate" => "cheap" },
      { "rate" => nil },
      { "rate" => "0,12" },
      { "rate" => "-1" },
      { "minimum" => "forty" },
      { "rounding" => "-0.1" },
      { "rush" => "25 %" },
      { "unit" => "page", "page_characters" => "0" },
      { "unit" => "hour" }
    ],
    "weight-wrong" => [{ "weights" => { "new" => "1.1" } }, { "weights" => { "new" => "-0.1" } }],
    "currency-unknown" => [{ "currency" => "XQQ" }, { "currency" => nil }],
    "unit-unknown" => [{ "unit" => "line" }],
    "band-unknown" => [{ "weights" => { "80-85" => "0.5" } }]
  }.each do |code, wrong|
    wrong.each do |fields|
      it "refuses #{fields} as #{code}" do
        expect { Glossema::Counting::Rates.new(good.merge(fields)) }.to raise_error(
          have_attributes(code: code, message: end_with("."))
        )
      end
    end
  end
end
