# Things never to be translated and words never to be used, as words or patterns.
RSpec.describe Glossema::Terms::Listed do
  def found(items, text)
    described_class.new(items).find(text).map { |one| [one.text, text[one.from...one.to]] }
  end

  # items, text, what is found
  [
    [["Wren 24"], "The Wren 24, not the Wren 240.", ["Wren 24"]],
    [["Wren"], "Wren-like wrens and Wrens", ["Wren"]],
    [["Tarn", "Tarn 26 L"], "Tarn 26 L and Tarn 20", ["Tarn 26 L", "Tarn"]],
    [["C++ (2011)"], "in C++ (2011) only", ["C++ (2011)"]],
    [['/TRN-\d{4}/'], "See TRN-2614 and TRN-26.", ["TRN-2614"]],
    [["/tarn(?:holt)?/i"], "TARNHOLT, Tarn", %w[TARNHOLT Tarn]],
    [["/x*y/"], "xxy", ["xxy"]],
    [[""], "nothing", []],
    [["日本"], "日本 x", ["日本"]]
  ].each do |items, text, expected|
    it "finds #{expected} in “#{text}” by #{items}" do
      expect(found(items, text)).to eq(expected.map { |one| [one, one] })
    end
  end

  it "refuses a pattern that is none, or that matches everything" do
    { "/(/" => "list-pattern.broken", "/[z-a]/" => "list-pattern.broken",
      "/a*/" => "list-pattern.everything" }
      .each do |item, key|
        expect { described_class.check(item) }.to raise_error(Glossema::Refused) { |error|
          expect(error.key).to eq(key)
          expect(error.message).to include(item)
        }
      end
    expect(described_class.check("/TRN-\\d+/")).to be_nil
    expect(described_class.check("and/or")).to be_nil
  end

  it "gives up a pattern that runs away, and goes on with the others" do
    listed = described_class.new(["/(a+)+$/", "stop"])
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    3.times { expect(listed.find("#{"a" * 40}! stop").map(&:text)).to eq(["stop"]) }
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 5
    expect(listed.given_up).to eq(["/(a+)+$/"])
  end
end
