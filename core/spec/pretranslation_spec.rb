# Texts translated ahead: what memories give, and a machine below that.
RSpec.describe Glossema::Pretranslation do
  # Plain as can be: a memory gives all it has, a machine turns letters round.
  memory = Struct.new(:units) do
    def id = 1
    def name = "Tarnholt"
    def penalty = 0
    def language_pair = %w[en it]
    def candidates(_, **, &block) = units.each(&block)
  end
  machine = Struct.new(:asked) do
    def translate(contents)
      asked << contents.size
      contents.map do |content|
        content.text.include?("refuse") ? nil : Glossema::Content.text(content.text.reverse)
      end
    end
  end

  def unit(source, target)
    Glossema::Matching::Candidate.new(id: source, source: Glossema::Content.text(source),
      target: Glossema::Content.text(target), attributes: {})
  end

  def query(text)
    Glossema::Matching::Query.new(content: Glossema::Content.text(text), source_lang: "en", target_lang: "it")
  end

  let(:lookup) do
    units = [unit("Check the brake pads now.", "Controllare ora le pastiglie."),
             unit("Ride at 25 km/h.", "Andare a 25 km/h.")]
    Glossema::Matching::Lookup.new([memory.new(units)])
  end
  let(:texts) do
    ["Check the brake pads now.", "Ride at 30 km/h.", "Check the brake pad.", "Stop.", "refuse this", " "]
  end

  def told(list) = list.map { |one| one && [one.kind, one.score, one.target.text] }

  it "takes exact, adapted and fuzzy matches down to a score, and says from where" do
    found = described_class.new(lookup, threshold: 60).results(texts.map { |text| query(text) })
    expect(told(found).first(4)).to match(
      [["exact", 100, "Controllare ora le pastiglie."], ["adapted", 99, "Andare a 30 km/h."],
       ["fuzzy", be_between(60, 98), "Controllare ora le pastiglie."], nil]
    )
    expect(found.first.memory).to eq("Tarnholt")
    strict = described_class.new(lookup, threshold: 99).results(texts.map { |text| query(text) })
    expect(told(strict).map { |one| one&.first }).to eq(["exact", "adapted", nil, nil, nil, nil])
  end

  it "asks a machine for the rest together, and takes nothing where it gave nothing" do
    own = machine.new([])
    found = described_class.new(lookup, threshold: 99, machine: own).results(texts.map { |text| query(text) })
    expect(told(found).last(4)).to eq(
      [["machine", nil, ".dap ekarb eht kcehC"], ["machine", nil, ".potS"], nil, nil]
    )
    expect(own.asked).to eq([3])
  end

  it "lets the looking up be shared out" do
    ahead = described_class.new(lookup)
    queries = texts.map { |text| query(text) }
    shared = ahead.results(queries) { |list, best| list.reverse.map(&best).reverse }
    expect(told(shared)).to eq(told(ahead.results(queries)))
  end
end
