# What each kind of parameter takes, and as what.
RSpec.describe Shape do
  def read(shape, value) = described_class.read({ it: shape }, { "it" => value })["it"]

  {
    text: [["a", "a"], [7, "7"], [1.5, "1.5"], [nil, nil], ["", ""]],
    number: [[7, 7], ["-7", -7], [7.0, 7], ["", nil], [nil, nil]],
    decimal: [[1.5, 1.5], ["0.12", "0.12"], ["", nil]],
    flag: [[true, true], ["true", true], ["1", true], [1, true], ["false", false], ["0", false], ["", false]],
    id: [[7, 7], ["7", 7], ["", nil]],
    date: [["2026-12-31", "2026-12-31"], ["", nil]],
    time: [["2026-12-31", "2026-12-31"], ["2026-12-03 15:00:00 UTC", "2026-12-03 15:00:00 UTC"],
           ["2026-12-03T15:00:00.000Z", "2026-12-03T15:00:00.000Z"],
           ["2026-12-03T16:00:00+01:00", "2026-12-03T16:00:00+01:00"],
           ["2026-12-03T15:00", "2026-12-03T15:00"]],
    any: [[{ "a" => [1, nil, "x", true] }, { "a" => [1, nil, "x", true] }]]
  }.each do |kind, cases|
    it "takes a #{kind}" do
      cases.each { |given, taken| expect(read(kind, given)).to eq(taken) }
    end
  end

  it "takes lists and objects, and of an object only what is known" do
    expect(read([:id], ["1", 2])).to eq([1, 2])
    expect(read([:id], "3")).to eq([3])
    expect(read([{ name: :text }], [{ "name" => 7, "more" => 8 }])).to eq([{ "name" => "7" }])
    expect(read([{ name: :text }], nil)).to be_nil
  end

  {
    text: [true, [], {}, "a\0b", "\xFF", Float::INFINITY], number: ["x", 1.5, 2**64, "9" * 30, [], true],
    decimal: ["NaN", Float::INFINITY, "1e400", {}], flag: ["yes", 7, [], {}], id: [-1, "x", {}],
    date: %w[2026-02-30 0000-00-00 soon], time: ["2026-13-01", "9999-99-99T99:99", "2026-12-03T25:00", 7],
    file: ["x", {}, 7], any: ["a\0b", Float::NAN, (1..30).reduce("x") { |inner, _| [inner] }]
  }.each do |kind, wrong|
    it "refuses what is no #{kind}, by its name" do
      wrong.each do |value|
        expect { read(kind, value) }.to raise_error(described_class::Wrong) { |error|
          expect(error.name).to eq("it")
        }
      end
    end
  end

  it "names the place inside" do
    expect { read([{ rates: { new: :decimal } }], [{ "rates" => { "new" => "x" } }]) }
      .to raise_error(described_class::Wrong) { |error| expect(error.name).to eq("it.rates.new") }
  end
end
