# Work divided by words: where it is cut, how equal the shares are, and that nothing is lost.
RSpec.describe Glossema::Exchange::Shares do
  def pieces(*rows) = rows.map { |words, begins| described_class::Piece.new(words: words, begins: begins) }

  def document(chapters, random, words: 5..25)
    Array.new(chapters) { |chapter|
      Array.new(random.rand(8..20)) do |index|
        begins = if index.zero?
          chapter.zero? ? :file : :heading
        else
          random.rand < 0.5 ? :paragraph : nil
        end
        described_class::Piece.new(words: random.rand(words), begins: begins)
      end
    }.flatten
  end

  it "cuts at headings where the shares come out equal" do
    list = pieces([50, :file], [50, :paragraph], [60, :heading], [40, nil])
    expect(described_class.divide(list, 2)).to have_attributes(ranges: [0...2, 2...4], words: [100, 100],
      borders: "heading", near: true)
  end

  it "cuts at paragraphs where headings do not come near enough" do
    list = pieces([100, :file], [50, :paragraph], [50, :paragraph], [20, :heading], [80, nil])
    expect(described_class.divide(list, 2)).to have_attributes(words: [150, 150], borders: "paragraph")
  end

  it "never cuts in the midst of a paragraph" do
    list = pieces([10, :file], [90, nil], [20, :paragraph])
    expect(described_class.divide(list, 2)).to have_attributes(ranges: [0...2, 2...3], near: false)
  end

  it "gives shares within three in a hundred that hold every piece once, in order" do
    20.times do |seed|
      random = Random.new(seed)
      list, count = document(60, random), random.rand(2..5)
      division = described_class.divide(list, count)
      equal = list.sum(&:words).fdiv(count)
      expect(division.ranges.flat_map(&:to_a)).to eq((0...list.size).to_a)
      expect(division.words.sum).to eq(list.sum(&:words))
      expect(division.words).to all(be_within(equal * 0.03).of(equal)), "seed #{seed}: #{division.words}"
      division.ranges.drop(1).each { |range| expect(list[range.begin].begins).not_to be_nil }
    end
  end

  it "refuses more shares than there are paragraphs" do
    expect {
      described_class.divide(pieces([5, :file], [5, nil]), 2)
    }.to raise_error(Glossema::Refused, /shares/)
    expect { described_class.divide(pieces([5, :file]), 0) }.to raise_error(Glossema::Refused, /shares/)
  end

  it "divides where there are no words at all, and into one" do
    expect(described_class.divide(pieces([0, :file], [0, :paragraph]), 2).words).to eq([0, 0])
    expect(described_class.divide(pieces([7, :file], [3, nil]),
      1)).to have_attributes(ranges: [0...2], words: [10])
  end
end
