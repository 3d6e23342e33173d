# Columns of tables guessed for bringing units in.
RSpec.describe Glossema::Exchange::TableColumns do
  def guess(text, name = "t.csv") = described_class.new(text, name, %w[en-GB it-IT]).to_h

  english, italian =
    ["Check the brakes before you ride.", "The lamp is on."],
    ["Controllare i freni prima di partire.", "Il faro è acceso."]
  rows = ->(*columns) { columns.transpose.map { |row| row.join(";") }.join("\n") }
  # [table, source, target]
  [
    [rows[%w[ID 1 2], ["English", *english], ["Italian", *italian]], "English", "Italian"],
    [rows[["it_IT", *italian], ["en", *english], %w[Note x y]], "en", "it_IT"],
    [rows[["Inglese (en-GB)", *english], ["italiano", *italian]], "Inglese (en-GB)", "italiano"],
    [rows[italian, %w[1 2], english], "C", "A"],
    [rows[["Source", *english], %w[x zwölf elf], ["Translation", *italian]], "Source", "Translation"],
    [rows[%w[Box Lid], %w[Scatola Coperchio]], "A", "B"],
    [rows[%w[1 2], english], "B", nil]
  ].each do |table, source, target|
    it("finds #{source.inspect} and #{target.inspect} in #{table.lines.first.strip.inspect}") do
      expect(guess(table).values_at(:source, :target)).to eq([source, target])
    end
  end

  it "shows the columns and the first rows, of a workbook too, and refuses what is no table" do
    expect(guess(rows[["en", *english], ["it", *italian]])).to include(
      columns: [{ value: "en", label: "A · en" }, { value: "it", label: "B · it" }],
      rows: english.zip(italian)
    )
    expect(
      guess(File.binread(File.join(Files::DEMO, "prices.xlsx")), "t.xlsx")
    ).to include(source: "A", target: nil, rows: include(["Rain cover", "89"]))
    expect { guess("Only a text.\n", "t.txt") }.to raise_error(Glossema::Refused, /not a table/)
    expect { guess("\n\n") }.to raise_error(Glossema::Refused, /no text|empty/)
  end
end
