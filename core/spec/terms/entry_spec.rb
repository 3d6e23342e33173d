# Entries as values: kept as data, merged, and which of their terms may be put into a translation.
RSpec.describe Glossema::Terms::Entry do
  def term(text, **said) = Glossema::Terms::Term.new(text: text, **said)
  def section(lang, *terms, **said) = Glossema::Terms::Section.new(lang: lang, terms: terms, **said)

  let(:entry) do
    described_class.new(
      id: "7", subject: "Wheels", definition: "A ring.",
      sections: [
        section("en-GB", term("rim", status: "preferred"), term("felloe", status: "superseded")),
        section("it", term("cerchio"), term("cerchione", forbidden: true),
          term("corona", status: "preferred")),
        section("nl", term("velg*", cased: true), note: "n")
      ]
    )
  end

  it "is the same after being kept as data, which says nothing twice and nothing empty" do
    data = JSON.parse(JSON.generate(entry.to_data))
    expect(described_class.from_data(data)).to eq(entry)
    expect(data["sections"].first).to eq(
      "lang" => "en-GB",
      "terms" => [{ "text" => "rim", "status" => "preferred" },
                  { "text" => "felloe", "status" => "superseded" }]
    )
    expect(data.keys).to eq(%w[id definition subject sections])
  end

  it "leaves out of data what it does not know" do
    expect(described_class.from_data("id" => "1", "colour" => "red", "sections" => []).id).to eq("1")
  end

  it "answers the terms that may be used in other languages, preferred ones first, without their stars" do
    expect(entry.targets("en")).to eq(%w[corona cerchio velg])
    expect(entry.targets("it-CH")).to eq(%w[rim corona cerchio velg] - %w[corona cerchio])
  end

  it "finds the sections of a language, that of the same region first" do
    entry.sections << section("en-US", term("rim"))
    expect(entry.in("en-US").map(&:lang)).to eq(%w[en-US en-GB])
    expect(entry.in("de")).to eq([])
  end

  it "takes from another entry what it has more, and changes nothing it says itself" do
    other = described_class.new(
      id: "8", subject: "Other", note: "New.",
      sections: [section("it", term("Cerchio"), term("cerchietto")), section("de", term("Felge"))]
    )
    before = entry.to_data
    merged = entry.merged_with(other)
    expect(merged).to have_attributes(id: "7", subject: "Wheels", note: "New.")
    expect(merged.sections.to_h { |one| [one.lang, one.terms.map(&:text)] }).to eq(
      "en-GB" => %w[rim felloe], "it" => %w[cerchio cerchione corona cerchietto], "nl" => ["velg*"],
      "de" => ["Felge"]
    )
    expect(entry.to_data).to eq(before)
    expect(merged.merged_with(other).to_data).to eq(merged.to_data)
  end
end
