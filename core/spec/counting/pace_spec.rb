# How fast she works, how long a count takes her, and when it is done.
RSpec.describe Glossema::Counting::Pace do
  it "measures words an hour by band, leaving pauses out, once enough was seen" do
    events = Array.new(41) { |turn| [turn * 90, "new", 10] } + [[41 * 90, "exact", 5], [99_999, "new", 1000]]
    # Forty gaps of ninety seconds are an hour for 400 words.
    expect(described_class.measure(events)).to eq("new" => 400)
    expect(described_class.measure([])).to eq({})
  end

  it "takes the measured pace where there is one, and weighted words at her usual one elsewhere" do
    bands = { "new" => { "words" => 800 }, "exact" => { "words" => 700 } }
    expect(described_class.hours(bands, { "exact" => "0.1" }, 350,
      { "new" => 400 })).to be_within(1e-9).of(2.2)
  end
end

RSpec.describe Glossema::Counting::WorkTime do
  given = JSON.parse(File.read(File.expand_path("../cases/work_time.json", __dir__)))
  hours = described_class.new(days: given["days"], from: given["from"], to: given["to"])
  given["cases"].each do |one|
    it "is done in time: #{one["says"]}" do
      done = hours.done_at(Time.new(*one["start"].scan(/\d+/).map(&:to_i), 0, "+02:00"), one["hours"])
      expect(done&.strftime("%FT%R")).to eq(one["done"])
    end
  end

  it "needs time to work in" do
    [{ days: [] }, { to: "09:00" }, { from: "late" }].each do |wrong|
      good = { days: [1], from: "09:00", to: "17:00" }
      expect { described_class.new(**good, **wrong) }.to raise_error(have_attributes(code: "hours-wrong"))
    end
  end
end
