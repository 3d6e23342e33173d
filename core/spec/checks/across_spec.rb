# What is only seen across a text.
RSpec.describe Glossema::Checks::Across do
  def found(*pairs)
    rows = pairs.each_with_index.map do |(source, target), index|
      described_class::Row.new(id: index, number: index + 1, source: source, target: target)
    end
    described_class.findings(rows).transform_values { |list| list.map { |one| [one.code, one.message] } }
  end

  it "tells of one source with two targets, at both places" do
    expect(found(["Oil the chain.", "Oliare la catena."], ["Stop now.", "Fermarsi."],
      ["Oil the chain.", "Lubrificare la catena."])).to eq(
        0 => [["source-two-targets", "Translated otherwise at 3: Lubrificare la catena."]],
        2 => [["source-two-targets", "Translated otherwise at 1: Oliare la catena."]]
      )
  end

  it "tells of one target for two sources" do
    one = found(["Open the box.", "Aprire la scatola."], ["Open the case.", "Aprire la scatola."])
    expect(one.keys).to eq([0, 1])
  end

  it "lets pass what differs in case or end mark only, and short texts" do
    alike = [["Oil the chain.", "Oliare la catena."], ["Oil the chain.", "oliare la catena"]]
    expect(found(*alike, ["No", "Non"], ["No", "No"])).to eq({})
  end
end
