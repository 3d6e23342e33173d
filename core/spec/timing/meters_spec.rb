# Cues and what is measured of them, to the decimal by hand.
RSpec.describe Glossema::Timing::Meters do
  def cue(from, to)
    Glossema::Timing::Cue.at(Glossema::Location.new("cue", cue: 1, start: from, end: to))
  end

  {
    "00:00:01,000 → 00:00:04,200" => [1, Rational(16, 5)],
    "01:02:03,400 → 01:02:05,4" => [3723 + Rational(2, 5), 2],
    "00:01.500 → 00:03.000" => [Rational(3, 2), Rational(3, 2)]
  }.each do |times, (start, duration)|
    it "reads #{times}" do
      expect(cue(*times.split(" → "))).to have_attributes(number: 1, start: start, duration: duration)
    end
  end

  it "reads no cue out of other locations" do
    untimed = [Glossema::Location.block("paragraph", 3), Glossema::Location.new("cue", cue: 1), nil]
    [*untimed, Glossema::Location.new("cue", cue: 1, start: "soon", end: "later")].each do |location|
      expect(Glossema::Timing::Cue.at(location)).to be_nil
    end
  end

  # The browser is held to the same cases (frontend/translate/timed/meters.ts).
  JSON.parse(File.read(File.expand_path("../cases/cue_meters.json", __dir__))).each do |given|
    it "measures #{given["text"].inspect} from #{given["start"]} to #{given["finish"] || "no end"}" do
      times = given.values_at("start", "finish", "next").map { |time| time && Rational(time.to_s) }
      shown = Glossema::Timing::Cue.new(number: 1, start: times[0], finish: times[1])
      following = times[2] && Glossema::Timing::Cue.new(number: 2, start: times[2], finish: times[2] + 1)
      measured = described_class.new(shown, given["text"], following: following)
      told = measured.to_h(Glossema::Timing::Limits.new)
      expect(told.values_at("cps", "wpm", "over")).to eq(given.values_at("cps", "wpm", "over"))
      expect(told["lines"].map { |line| line.scan(/\X/).size }).to eq(given["lines"])
    end
  end

  it "says what is over, by the usual limits and by others" do
    fast = described_class.new(cue("00:00:01,000", "00:00:01,500"), "a" * 50,
      following: cue("00:00:01,400", "00:00:02,000"))
    expect(fast.over(Glossema::Timing::Limits.new)).to eq(%w[cps characters duration overlap])
    loose = Glossema::Timing::Limits.new("cps" => 200, "characters" => 60, "shortest" => 0.2)
    expect(fast.over(loose)).to eq(%w[overlap])
    near = described_class.new(cue("00:00:01,000", "00:00:03,000"), "a",
      following: cue("00:00:03,079", "00:00:05,000"))
    expect(near.over(Glossema::Timing::Limits.new)).to eq(%w[gap])
    expect(near.over(Glossema::Timing::Limits.new("rate" => 30))).to eq([])
    none = described_class.new(cue("00:00:01,000", "00:00:01,000"), "a")
    expect(none.to_h(Glossema::Timing::Limits.new)).to include("cps" => nil, "over" => %w[cps duration])
  end

  [[], { "cps" => 0 }, { "speed" => 3 }, { "cps" => "17" }].each do |given|
    it "refuses #{given.inspect} as limits (limits-broken)" do
      expect { Glossema::Timing::Limits.new(given) }.to raise_error(Glossema::Refused, /limits are not valid/)
    end
  end
end
