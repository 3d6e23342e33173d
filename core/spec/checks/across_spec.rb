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
        0 => [["source-two-targets", "Translated differently in 3: Lubrificare la catena."]],
        2 => [["source-two-targets", "Translated differently in 1: Oliare la catena."]]
      )
  end

  it "tells of one target for two sources" do
    one = found(["Open the box.", "Aprire la scatola."], ["Open the case.", "Aprire la scatola."])
    expect(one.keys).to eq([0, 1])
  end

  it "lets pass what differs in case, line breaks or end mark only, and short texts" do
    alike = [["Oil the chain.", "Oliare la catena."], ["Oil the chain.", "oliare la catena"]]
    expect(found(*alike, ["No", "Non"], ["No", "No"])).to eq({})
    broken = [["Open the\nbox.", "Aprire la scatola."], ["Open the box.", "Aprire la scatola."]]
    expect(found(*broken, ["Open  the\u00A0box.", "Aprire la\nscatola."])).to eq({})
  end

  it "tells where a term is put otherwise than most often" do
    entries = [Glossema::Terms::Entry.new(id: 1, sections: {
      "en" => ["brake pad"], "it" => %w[pastiglia pattino]
    }.map { |lang, terms|
      Glossema::Terms::Section.new(lang: lang, terms: terms.map { |text|
        Glossema::Terms::Term.new(text: text)
      })
    })]
    terms = Glossema::Checks::Vocabulary.from_entries(entries, "en", "it")
    texts = ["Due pastiglie", "Le pastiglie usate", "Un pattino nuovo"]
    rows = texts.each_with_index.map do |text, index|
      source = "The brake pads #{index}"
      described_class::Row.new(id: index, number: index + 1, source: source, target: text,
        terms: terms.uses(source, text))
    end
    found = described_class.findings(rows)
    expect(found.keys).to eq([2])
    expect(found[2].first).to have_attributes(code: "term-mixed", other: 0, source: [[4, 14]],
      message: "“brake pads” is translated as pattino here and as pastiglia in 1.")
  end

  it "keeps to a profile" do
    rows = [["Oil the chain.", "Oliare la catena."], ["Oil the chain.", "Lubrificare la catena."]]
      .each_with_index.map do |(source, target), index|
        described_class::Row.new(id: index, number: index + 1, source: source, target: target)
      end
    told = ->(level) do
      profile = Glossema::Checks::Profile.new("checks" => { "source-two-targets" => { "level" => level } })
      described_class.findings(rows, profile).values.flatten.map(&:level)
    end
    expect(told["must-fix"]).to eq(%w[must-fix must-fix])
    expect(told["off"]).to eq([])
  end
end
