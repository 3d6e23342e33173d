# Sources that are almost alike beside their translations.
RSpec.describe Glossema::Checks::Twins do
  def twins(*pairs)
    rows = pairs.each_with_index.map do |(source, target), index|
      described_class::Row.new(id: index, source: Glossema::Content.from_written(source),
        target: Glossema::Content.from_written(target))
    end
    described_class.find(rows, %w[en-GB it-IT])
  end

  let(:long) { "Check the pressure of the front tyre before every long ride." }

  it "lays them beside each other with the differences of both sides, the most uneven first" do
    found = twins(
      [long, "Controllare la pressione della gomma davanti prima di ogni lungo giro."],
      [long.sub("front", "rear"),
       "Prima di ogni uscita lunga verificare la pressione del pneumatico posteriore."],
      ["Put the charger away in a dry place.", "Riporre il caricatore in un luogo asciutto."],
      ["Put the charger away in a cool place.", "Riporre il caricatore in un luogo fresco."]
    )
    expect(found.map { |one| [one.one, one.other, one.uneven?] }).to eq([[0, 1, true], [2, 3, false]])
    expect(found.first.score).to be_between(80, 99)
    expect(found.first.source.map { |one| [one.op, one.source, one.memory] }).to eq([%w[replace rear front]])
    expect(found.last.target.map { |one| [one.source, one.memory] }).to eq([%w[fresco asciutto]])
  end

  it "lets pass what differs in figures alone, on both sides, and what is not near" do
    expect(twins(["Tighten to 12 Nm with the small key.", "Serrare a 12 Nm con la chiave piccola."],
      ["Tighten to 14 Nm with the small key.", "Serrare a 14 Nm con la chiave piccola."],
      ["Stop now.", "Fermarsi."])).to eq([])
  end

  it "tells of figures that differ where the rest was put otherwise too" do
    found = twins(["Tighten to 12 Nm with the small key.", "Serrare a 12 Nm con la chiave piccola."],
      ["Tighten to 14 Nm with the small key.", "Con la chiavetta, stringere fino a 14 Nm."])
    expect(found.map(&:uneven?)).to eq([true])
  end

  it "counts the same text once, and says how far it is" do
    steps = 0
    rows = Array.new(3) do |id|
      described_class::Row.new(id: id, source: Glossema::Content.text(long),
        target: Glossema::Content.text("x #{id}"))
    end
    expect(described_class.find(rows, %w[en it]) { steps += 1 }).to eq([])
    expect(steps).to eq(1)
  end
end
