# Content: the written form and what keeps codes in order.
RSpec.describe Glossema::Content do
  def codes
    [
      Glossema::Code.new(id: 1, kind: :open, key: "f1", type: "format", style: "b:on"),
      Glossema::Code.new(id: 2, kind: :alone, key: "o1", type: "break", equiv: "\n"),
      Glossema::Code.new(id: 3, kind: :open, key: "f2", type: "format", style: "i:on")
    ]
  end

  [
    "plain",
    "a {1}bold{/1} word{2/}",
    "{1}{3}deep{/3}{/1}",
    "literal \\{braces} and \\\\ slash",
    "",
    "{1}a{/1}{1}b{/1}"
  ].each do |written|
    it "reads and writes #{written.inspect}" do
      expect(described_class.parse(written, codes).written).to eq(written)
    end
  end

  it "gives the text with what codes stand for" do
    expect(described_class.parse("a {1}bold{/1} line{2/}end \\{x}", codes).text).to eq("a bold line\nend {x}")
  end

  it "refuses a code the source does not have" do
    expect { described_class.parse("a {9}b{/9}", codes) }.to raise_error(
      Glossema::Refused,
      /\{9\} does not exist/
    )
    expect { described_class.parse("a {1/}", codes) }.to raise_error(Glossema::Refused)
  end

  {
    "{1}never closed" => "{1}never closed{/1}",
    "stray{/1} end" => "stray end",
    "{1}a{3}b{/1}c{/3}" => "{1}a{3}b{/3}{/1}{3}c{/3}",
    "x{1}{/1}y" => "xy",
    "{1}a{/1}{1}b{/1}" => "{1}ab{/1}"
  }.each do |given, made|
    it "makes #{given} well formed" do
      expect(described_class.parse(given, codes).well_formed.written).to eq(made)
    end
  end

  it "is the same to a reader however its codes are numbered or cut" do
    one = described_class.parse("a {1}bold{/1}{1} word{/1}", codes)
    two = described_class.parse("a {1}bold word{/1}", codes)
    expect(one.flat("")).to eq(two.flat(""))
    expect(one.flat("")).not_to eq(described_class.parse("a {3}bold word{/3}", codes).flat(""))
  end

  it "keeps only the codes today's source has when a match is taken over" do
    match = described_class.from_written("{1}uno{/1} due{2/} {5}tre{/5}")
    expect(match.fitted(described_class.parse("{1}one{/1} two", codes)).written).to eq("{1}uno{/1} due tre")
  end

  it "comes back from its stored codes" do
    content = described_class.parse("a {1}b{/1}{2/}", codes)
    stored = JSON.parse(JSON.generate(content.code_hashes))
    expect(described_class.parse(content.written, described_class.codes_from(stored)).flat("")).to eq(
      content.flat("")
    )
  end
end
