# Cues and what is measured of them, to the decimal by hand.
RSpec.describe Glossema::Timing::Meters do
  def cue(from, to) = Glossema::Timing::Cue.of("cue 1 · #{from} → #{to}")

  {
    "00:00:01,000 → 00:00:04,200" => [1, Rational(16, 5)],
    "01:02:03,400 → 01:02:05,4" => [3723 + Rational(2, 5), 2],
    "00:01.500 → 00:03.000" => [Rational(3, 2), Rational(3, 2)]
  }.each do |times, (start, duration)|
    it "reads #{times}" do
      expect(cue(*times.split(" → "))).to have_attributes(number: 1, start: start, duration: duration)
    end
  end

  it "reads no cue out of other paths" do
    ["paragraph 3", "cue 1", "cue 1 · soon → later", nil].each do |path|
      expect(Glossema::Timing::Cue.of(path)).to be_nil
    end
  end

  # text, seconds shown, cps, words a minute
  [
    ["Load the box first.", 2, 9.5, 120.0],
    ["Load the box\nfirst.", 2, 9.0, 120.0],
    ["Zuerst laden", 0.5, 24.0, 240.0],
    ["積む", 1, 2.0, 120.0],
    ["é\u0301 👩‍👩‍👧", 1, 3.0, 60.0]
  ].each do |text, seconds, cps, wpm|
    it "measures #{text.inspect} in #{seconds} s" do
      shown = cue("00:00:01,000", format("00:00:%06.3f", 1 + seconds).tr(".", ","))
      measured = described_class.new(shown, text).to_h(Glossema::Timing::Limits.new)
      expect(measured.values_at("cps", "wpm", "duration")).to eq([cps, wpm, seconds.to_f])
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
      expect { Glossema::Timing::Limits.new(given) }.to raise_error(Glossema::Refused, /Limits are/)
    end
  end
end
