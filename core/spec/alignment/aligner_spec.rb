# Two texts become beads: cases by hand, what always holds, how much is right on noisy real text, and what the
# probabilities say.
require_relative "../support/noisy_pairs"

RSpec.describe Glossema::Alignment::Aligner do
  # Each a paragraph of its own.
  def pieces(texts)
    texts.each_with_index.map do |text, at|
      Glossema::Alignment::Piece.new(text: text, block: "paragraph", unit: at, codes: 0)
    end
  end

  def beads(sources, targets, **more) = described_class.new(pieces(sources), pieces(targets), **more).beads
  def indexes(list) = list.map { |bead| [bead.source.to_a, bead.target.to_a] }

  let(:guide) do
    [["Course page, spring", "Pagina del corso, primavera"], ["What you will make", "Che cosa realizzerete"],
     ["In six evenings you throw, turn, glaze and fire a set of 4 bowls.",
      "In sei serate si torniscono, rifiniscono, smaltano e cuociono 4 ciotole."],
     ["The studio stands at Mill Lane 12, behind the old dairy.",
      "Il laboratorio si trova in Mill Lane 12, dietro il vecchio caseificio."],
     ["Glazes are mixed while the kiln cools to 80 °C", "Si preparano gli smalti mentre il forno è a 80 °C"],
     ["Prices include clay, glazes, both firings.", "Nel prezzo: argilla, smalti e due cotture."],
     ["Tuesdays, 18:30 to 21:00: £240.", "Martedì, dalle 18.30 alle 21.00: 240 sterline."]]
  end

  {
    "one to one" => [[], (0..6).map { |at| [[at], [at]] }],
    "a sentence missing on one side" =>
      [[[:targets, 3, :out]],
       [[[0], [0]], [[1], [1]], [[2], [2]], [[3], []], [[4], [3]], [[5], [4]], [[6], [5]]]],
    "two made one" => [[[:targets, 4, :join]],
                       [[[0], [0]], [[1], [1]], [[2], [2]], [[3], [3]], [[4, 5], [4]], [[6], [5]]]],
    "one made two" => [[[:sources, 2, :join]],
                       [[[0], [0]], [[1], [1]], [[2], [2, 3]], [[3], [4]], [[4], [5]], [[5], [6]]]]
  }.each do |name, (edits, expected)|
    it "finds #{name}" do
      sides = { sources: guide.map(&:first), targets: guide.map(&:last) }
      edits.each do |side, at, what|
        list = sides[side]
        what == :out ? list.delete_at(at) : list[at, 2] = [list[at, 2].join(" ")]
      end
      expect(indexes(beads(*sides.values))).to eq(expected)
    end
  end

  it "has one-sided beads where a text has nothing opposite at all" do
    expect(indexes(beads(%w[One Two], []))).to eq([[[0], []], [[1], []]])
    expect(indexes(beads([], ["Uno"]))).to eq([[[], [0]]])
    expect(beads([], [])).to eq([])
  end

  it "goes by what a termbase gives where words are not alike" do
    sources = ["The wheel turns slowly while the radio plays an old song in the corner.",
               "The shelf is full of bowls.", "Wipe the table well."]
    targets = ["Il ripiano è pieno di ciotole.", "Pulire bene il tavolo."]
    given = [%w[shelf ripiano], %w[bowls ciotole], %w[full pieno], %w[table tavolo]]
    expect(indexes(beads(sources, targets, given: given))).to eq([[[0], []], [[1], [0]], [[2], [1]]])
  end

  it "learns words from texts that surely stand opposite, also where these hold words of their own" do
    known = [["the wheel by the door", "il tornio alla porta"],
             ["a wheel and a shelf", "un tornio e un ripiano"],
             ["this shelf stands", "questo ripiano regge"], ["a shelf, a wheel", "un ripiano, un tornio"]]
    sources, targets = ["Mind the wheel.", "Mind the shelf."], ["Attenzione al ripiano."]
    opposite = ->(found) { found.find { |bead| bead.target.any? }.source.to_a }
    expect(opposite[beads(sources, targets, known: known)]).to include(1)
  end

  it "keeps the order and puts every segment into exactly one bead" do
    30.times do |seed|
      random = Random.new(seed)
      words = %w[forno argilla smalto 12 80 kiln clay glaze Mill Lane e the di]
      sides = Array.new(2) {
        Array.new(random.rand(0..(random.rand < 0.2 ? 300 : 40))) {
          Array.new(random.rand(1..12)) {
            words.sample(random: random)
          }.join(" ")
        }
      }
      found = beads(*sides)
      expect(found.flat_map { |bead| bead.source.to_a }).to eq((0...sides[0].size).to_a)
      expect(found.flat_map { |bead| bead.target.to_a }).to eq((0...sides[1].size).to_a)
      expect(found.map(&:probability)).to all(be_between(0, 1))
    end
  end

  it "gives low probabilities where two texts have nothing to do with each other", if: NoisyPairs.there? do
    one, other = NoisyPairs.new(500, 120), NoisyPairs.new(20_000, 120)
    pairs = beads(one.sources, other.targets).reject(&:one_sided?)
    expect(pairs.count { |bead| bead.probability >= 0.9 }).to be <= pairs.size * 0.06
    expect(pairs.sum(&:probability).fdiv([pairs.size, 1].max)).to be < 0.3
  end

  it "finds a few segments in a text sixty times as long, on either side", if: NoisyPairs.there? do
    long, few = NoisyPairs.rows[0, 1500].map(&:first), NoisyPairs.rows[700, 25].map(&:last)
    gold = (0...25).map { |at| [[700 + at], [at]] }
    found = indexes(beads(long, few))
    expect(found.flat_map(&:first)).to eq((0...1500).to_a)
    expect((found & gold).size).to be >= 18
    expect((indexes(beads(few, long)).map(&:reverse) & gold).size).to be >= 18
  end

  describe "on noisy real text", if: NoisyPairs.there? do
    results = nil
    before do
      results ||= [500, 6000, 14_000, 22_000, 30_000].map { |from|
        [noisy = NoisyPairs.new(from, 250, seed: from), beads(noisy.sources, noisy.targets)]
      }
    end

    it "finds 97 in 100 beads, and so many of those it finds are right" do
      right = found = wanted = 0
      results.each do |noisy, list|
        mine = indexes(list.reject(&:one_sided?))
        right += (mine & noisy.gold).size
        found += mine.size
        wanted += noisy.gold.size
      end
      expect(2.0 * right / (found + wanted)).to be >= 0.97
    end

    it "means what its probabilities say" do
      told = results.flat_map do |noisy, list|
        list.reject(&:one_sided?).map { |bead|
          [bead.probability, noisy.gold.include?(indexes([bead]).first)]
        }
      end
      sure, middling, doubtful = [0.97..1, 0.8...0.97, 0...0.6].map { |range|
        told.select { |said, _|
          range.cover?(said)
        }
      }
      right = ->(list) { list.count(&:last).fdiv(list.size) }
      expect(right[sure]).to be >= 0.985
      expect(right[middling]).to be_between(0.75, 0.99)
      expect(right[doubtful]).to be <= 0.75
    end
  end
end
