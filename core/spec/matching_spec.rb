# The score of a match, by hand and as properties; ranking and penalties.
RSpec.describe Glossema::Matching do
  def score(one, other)
    described_class::Score.compare(Glossema::Content.from_written(one), Glossema::Content.from_written(other))
  end

  # text, other, score by the formula worked out by hand
  [
    ["The dog sat on the mat", "The cat sat on the mat", 83], ["same", "same", 100], ["", "", 100], ["Same", "same", 90], ["one two", "", 0],
    ["Turn the screw.", "Turn the screws.", 94], ["a b c d", "a b c", 75], ["80 kg", "60 kg", 50], ["Stop!", "Stop.", 80], ["{1}bold{/1} text", "bold text", 80],
    ["{4}bold{/4} text", "{1}bold{/1} text", 100], ["two  spaces", "two spaces", 100], ["café", "cafe\u0301", 100]
  ].each do |one, other, expected|
    it("scores #{one.inspect} against #{other.inspect} at #{expected}") { expect(score(one, other).score).to eq(expected) }
  end

  it "holds to its properties on random texts" do
    random = Random.new(11)
    text = -> {
      Array.new(random.rand(0..8)) {
        %w[the The load loads loaded deck kg 80 60 , . {1} {/1} {2/} maximum].sample(random: random)
      }.join(" ")
    }
    150.times do
      one, other = text.call, text.call
      there, back = score(one, other), score(other, one)
      expect(there.score).to eq(back.score), "#{one} / #{other}"
      expect(there.score).to be_between(0, 100)
      expect(score(one, one).score).to eq(100)
      expect(there.score).to be < 100 unless described_class::Score.fold(Glossema::Content.from_written(one)) == described_class::Score.fold(Glossema::Content.from_written(other))
    end
  end

  it "gives nothing below a floor, and the same above it" do
    one, other = Glossema::Content.text("Pull each strap tight."), Glossema::Content.text("Pull both straps very tight now.")
    full = described_class::Score.compare(one, other)
    expect(described_class::Score.compare(one, other, floor: full.score)).to eq(full)
    expect(described_class::Score.compare(one, Glossema::Content.text("Something else altogether, far away."),
                                          floor: 70)).to be_nil
  end

  it "says what differs and where" do
    differences = score("The rear deck carries up to 80 kg.", "The deck carries 60 kg.").differences
    expect(differences.map { |difference| [difference.op, difference.source, difference.memory] })
      .to eq([["insert", "rear", nil], ["insert", "up", nil], ["insert", "to", nil], ["replace", "80", "60"]])
    expect(differences.last.source_span).to eq([28, 30])
    expect(score("The deck.",
                 "The old deck.").differences.first.to_h).to include(op: "delete", memory: "old", source_span: [3, 3])
  end

  describe Glossema::Matching::Lookup do
    # A memory as plain as can be: it gives all it has.
    memory = Struct.new(:name, :penalty, :language_pair, :units) do
      def id = name
      def candidates(_units, **) = units.map(&:dup)
    end

    def unit(source, target, **attributes)
      Glossema::Matching::Candidate.new(id: source, source: Glossema::Content.from_written(source),
                                        target: Glossema::Content.from_written(target), attributes: { "updated_at" => "2026-01-01" }.merge(attributes.transform_keys(&:to_s)))
    end

    let(:query) { Glossema::Matching::Query.new(content: Glossema::Content.text("Check the brakes."), source_lang: "en-GB", target_lang: "it-IT", client: "Tarnholt", previous: "p", next: "n") }

    def found(*memories)
      described_class.new(memories).matches(query).map { |match|
        [match.candidate.target.text, match.kind, match.score, match.penalties]
      }
    end

    it "ranks context, exact, then score, and prefers the same client and the newest" do
      shop = memory.new("a", 0, %w[en-GB it-IT],
                        [unit("Check the brakes.", "Uno", previous: "p", next: "n"), unit("Check the brakes.", "Due", client: "Tarnholt"), unit("Check the brakes.", "Tre", updated_at: "2026-06-01"), unit("Check the brake.", "Quattro")])
      expect(found(shop).map { |row| row.first(2) }).to eq([%w[Uno context], %w[Due exact], %w[Tre exact], %w[Quattro fuzzy]])
      expect(found(shop).map { |row| row[2] }).to eq([100, 99, 99, 94])
    end

    it "takes points off with their reasons" do
      other = memory.new("b", 5, %w[en-US it-IT], [unit("Check the brakes.", "Uno", origin: "machine")])
      expect(found(other)).to eq([["Uno", "exact", 89, [["memory", 5], ["region", 1], ["machine", 5]]]])
    end
  end
end
