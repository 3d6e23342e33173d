# Termbases as tables: columns guessed by heading or by what they hold, and the way round.
RSpec.describe Glossema::Exchange::TermTable do
  def table(text, languages = []) = described_class.new(text.b, "terms.csv", languages)

  def entries(table, roles = table.roles)
    [].tap { |list| @faults = table.each_entry(roles) { |entry, _| list << entry } }
  end

  def brief(list)
    list.map { |entry| entry.sections.to_h { |section| [section.lang, section.terms.map(&:text)] } }
  end

  [
    ["en,it,definition\nbrake pad,pastiglia,Part\n", %w[term:en term:it definition]],
    ["English (UK),Italiano,Italian status\nload,carico,preferred\n", %w[term:en term:it status:it]],
    ["Concept ID,Dutch,Subject field\n7,rem,Frame\n", %w[id term:nl subject]],
    ["id,Language,Term\n1,en,rim\n", %w[id language term]],
    ["en-GB;de-CH;Remarks\nrim;Felge;x\n", %w[term:en-GB term:de-CH note]],
    ["brake pad,pastiglia del freno\nfront wheel,ruota con il cerchio di acciaio\n", %w[term:en term:it]]
  ].each do |text, roles|
    it "takes #{text.lines.first.strip} for #{roles}" do
      expect(table(text, %w[en it]).roles).to eq(roles)
    end
  end

  it "takes synonyms in a cell, rows of one id and a column of languages together" do
    expect(brief(entries(table("en,it\nrim; wheel rim,cerchio\n")))).to eq([{ "en" => ["rim", "wheel rim"],
                                                                              "it" => ["cerchio"] }])
    expect(brief(entries(table("id,en,it\n1,rim,cerchio\n2,hub,mozzo\n1,felloe,\n")))).to eq(
      [{ "en" => %w[rim felloe], "it" => ["cerchio"] }, { "en" => ["hub"], "it" => ["mozzo"] }]
    )
    expect(brief(entries(table("id,language,term\n1,English,rim\n1,it,cerchio\n")))).to eq([{
      "en" => ["rim"], "it" => ["cerchio"]
    }])
  end

  it "says which row has no term, and takes the others" do
    list = entries(table("id,en,it\n1,,\n2,rim,cerchio\n"))
    expect(list.map(&:id)).to eq(["2"])
    expect(@faults.map(&:line)).to eq([2])
  end

  it "writes rows that it reads again" do
    term = Glossema::Terms::Term
    section = Glossema::Terms::Section
    list = [
      Glossema::Terms::Entry.new(id: "1", subject: "Wheels", definition: "a \"ring\"", sections: [
        section.new(lang: "en",
          terms: [term.new(text: "rim", status: "preferred"), term.new(text: "felloe*")]),
        section.new(lang: "it-IT", terms: [term.new(text: "cerchio", gender: "m", forbidden: true)])
      ]),
      Glossema::Terms::Entry.new(id: "2",
        sections: [section.new(lang: "nl", terms: [term.new(text: "naaf")])])
    ]
    rows = described_class.rows(list)
    text = rows.map { |row| row.map { |cell| "\"#{cell.gsub("\"", "\"\"")}\"" }.join(",") }.join("\n")
    again = entries(table(text))
    expect(brief(again)).to eq(brief(list))
    expect(again.map { |entry| [entry.id, entry.subject, entry.definition] }).to eq(
      list.map { |entry| [entry.id, entry.subject, entry.definition] }
    )
    expect(again.flat_map(&:terms)).to eq(list.flat_map(&:terms))
  end

  it "refuses a table without terms or without their language, and what is no table" do
    expect { entries(table("a,b\n1,2\n"), [nil, nil]) }.to raise_error(Glossema::Refused) do |error|
      expect(error.code).to eq("columns-without-terms")
    end
    expect { entries(table("a,b\nx,y\n"), ["term", nil]) }.to raise_error(Glossema::Refused, /their language/)
    expect { table("") }.to raise_error(Glossema::Refused)
  end

  it "tells how far a table is read" do
    csv = "id,en,it\n1,rim,cerchio\n2,hub,mozzo\n3,chain,catena\n"
    shares = []
    Glossema::Exchange::TermFile.read(csv, name: "t.csv", languages: %w[en it]) { |_, share| shares << share }
    expect(shares).to eq([0.5, 0.75, 1.0])
  end
end
