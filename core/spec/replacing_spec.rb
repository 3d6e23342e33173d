# Find and replace in contents, past codes.
RSpec.describe Glossema::Replacing do
  def made(written, **asked)
    change = described_class.new(**asked).in(Glossema::Content.from_written(written)) or return
    [change.after.written, change.spans.map { |from, to| change.after.text[from...to] }]
  end

  # in what, asked, what comes of it, what was put in
  [
    ["la pastiglia", { find: "pastiglia", with: "ganascia" }, "la ganascia", ["ganascia"]],
    ["Pastiglia, pastiglia", { find: "pastiglia", with: "x" }, "x, x", %w[x x]],
    ["Pastiglia, pastiglia", { find: "pastiglia", with: "x", cased: true }, "Pastiglia, x", ["x"]],
    ["freno freni", { find: "fren", with: "x", words: true }, nil, nil],
    ["il freno, frenoX", { find: "freno", with: "x", words: true }, "il x, frenoX", ["x"]],
    ["a.b a+b", { find: "a.b", with: "c" }, "c a+b", ["c"]],
    ["25 km e 30 km", { find: "(\\d+) km", with: "\\1\u00A0km", regex: true }, "25\u00A0km e 30\u00A0km",
     ["25\u00A0km", "30\u00A0km"]],
    ["a {1}b{/1} c", { find: "b", with: "bb" }, "a {1}bb{/1} c", ["bb"]],
    ["a {1}b{/1} c", { find: "a b", with: "x" }, nil, nil],
    ["x{1/}y x", { find: "x", with: "" }, "{1/}y ", ["", ""]],
    ["a b", { find: "b", with: "\\1 {2}" }, "a \\\\1 \\{2}", ["\\1 {2}"]]
  ].each do |written, asked, after, put|
    it "makes #{after.inspect} of “#{written}” by #{asked}" do
      expect(made(written, **asked)).to eq(after && [after, put])
      expect(described_class.new(**asked).found?(Glossema::Content.from_written(written))).to be(!after.nil?)
    end
  end

  def refusal
    yield
    nil
  rescue Glossema::Refused => e
    e.key
  end

  it "refuses what cannot be looked for, and gives up what runs away" do
    expect(refusal { described_class.new(find: "") }).to eq("find-pattern.empty")
    expect(refusal { described_class.new(find: "(", regex: true) }).to eq("find-pattern.broken")
    expect(refusal { described_class.new(find: "x*", regex: true) }).to eq("find-pattern.everything")
    text = Glossema::Content.text("#{"a" * 40}!")
    expect(refusal { described_class.new(find: "(a+)+$", regex: true).in(text) }).to eq("find-pattern.slow")
  end
end
