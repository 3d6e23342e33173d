# Counts as values: whatever the files and matches, bands add up to files and files to the whole.
RSpec.describe Glossema::Counting::Report do
  texts = ["Check the straps.", "Check the straps now.", "Load at most 60 kg.", "Load at most 80 kg.",
           "Stop."]
  match = Struct.new(:kind, :score)
  language_pair = %w[en it]

  define_method(:rows) do |picks|
    picks.map { |text, found| [Glossema::Content.from_written(text), found] }
  end

  define_method(:report) do |files|
    described_class.build(
      files.map { |name, picks| { name: name, facts: { "format" => "TXT" }, rows: rows(picks) } },
      language_pair
    )
  end

  def words(table) = table.transform_values { |band| band["words"] }.reject { |_, words| words.zero? }

  it "adds up by band, by file and in all, for files and matches as they come" do
    random = Random.new(7)
    60.times do
      files =
        Array.new(random.rand(1..4)) do |index|
          picks =
            Array.new(random.rand(0..12)) do
              kind = [nil, "context", "exact", "fuzzy"].sample(random: random)
              [texts.sample(random: random),
               kind && match.new(kind, kind == "fuzzy" ? random.rand(50..99) : 100)]
            end
          ["#{index}.txt", picks]
        end
      answer = report(files).to_h
      described_class::SPLITS.each do |split|
        expect(answer[split].values.sum { |band| band["words"] }).to eq(answer["words"])
        answer["files"].each do |file|
          expect(file[split].values.sum { |band| band["segments"] }).to eq(file["segments"])
          expect(file[split].values.sum { |band| band["characters"] }).to eq(file["characters"])
        end
      end
      expect(JSON.parse(JSON.generate(answer))).to eq(answer)
    end
  end

  it "splits by the memories, with likeness inside, and without any memory" do
    exact = match.new("exact", 100)
    answer =
      report(
        [["a.txt", [["Check the straps.", exact], ["Load at most 60 kg.", nil]]],
         ["b.txt",
          [["Check the straps.", nil], ["Load at most 80 kg.", nil], ["Check the straps now.", nil]]]]
      ).to_h
    expect(words(answer["bands"])).to eq("exact" => 3, "repetition" => 3, "new" => 14)
    expect(words(answer["inside"])).to eq("exact" => 3, "repetition" => 3, "95-99" => 5, "75-84" => 4,
      "new" => 5)
    expect(words(answer["bare"])).to eq("repetition" => 3, "new" => 17)
  end

  it "is not made of figures that do not add up" do
    figures = report([["a.txt", [["Stop.", nil]]]]).to_h
    expect { described_class.new(figures.merge("words" => 2)) }.to raise_error(/words of the files/)
    wrong = figures.merge("bands" => figures["inside"].merge("exact" => { "words" => 1 }))
    expect { described_class.new(wrong) }.to raise_error(/exact of the files/)
  end
end

RSpec.describe Glossema::Counting::Comparison do
  def part(name, **words) =
    { "name" => name, "words" => words.values.sum, "bands" => words.to_h { |band, n|
      [band.to_s, { "words" => n }]
    } }

  it "sets files of one name beside each other, and keeps those that only one has" do
    one = part("", new: 7,
      exact: 5).merge("files" => [part("a", new: 4), part("a", new: 1, exact: 5), part("c", new: 2)])
    other = part("", new: 11).merge("files" => [part("a", new: 10), part("b", new: 1)])
    answer = described_class.compare(one, other)
    expect(answer["differences"].reject { |_, words| words.zero? }).to eq("exact" => 5, "new" => -4)
    expect(answer["files"].map { |file| file.values_at("name", "words", "beside") }).to eq(
      [["a", 4, 10], ["a", 6, nil], ["c", 2, nil], ["b", nil, 1]]
    )
    expect(answer["files"].last["differences"]["new"]).to eq(-1)
  end
end
