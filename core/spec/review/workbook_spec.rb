# Review sheets as workbooks: out, edited by a real spreadsheet, and back.
require_relative "../support/office"

RSpec.describe Glossema::Review::Workbook do
  pairs = [
    ["Check the chain.", "Controllare la catena."],
    ["{1}Warning:{/1} hot", "{1}Avvertenza:{/1} caldo"],
    ["=2 * {1/}", "=2 * {1/}"],
    [" a\nb_x0041_ \"c\" ", " a\nb_x0041_ \"c\" "],
    ["It weighs 80\u00A0kg.", "Pesa 80\u00A0kg."]
  ]

  def content(written) = Glossema::Content.from_written(written)

  let(:pairs) { pairs }
  let(:rows) do
    pairs.each_with_index.map do |(source, target), index|
      Glossema::Review::Row.new(id: "f1/u#{index}:1", file: "manual.docx", number: index + 1,
        source: content(source), target: content(target), notes: ["note #{index}"],
        terms: index.zero? ? [["chain", ["catena"]]] : [])
    end
  end
  let(:about) { { id: "round-7", title: "Owner’s [manual]", languages: %w[en-GB it-IT], rows: rows } }
  let(:bytes) { described_class.new(**about).bytes }

  # A title, five instructions, the heading and the name of the file stand above: row 9 is the first.
  first = 9

  def back(xlsx) = Glossema::Review.read(xlsx, "sheet.xlsx")
  def edited(*edits) = Office.edit(bytes, edits, ending: "xlsx")

  # {index of the row => Outcome} of those that changed.
  def changes(xlsx)
    back(xlsx).rows.filter_map { |row|
      at = row.id[/u(\d+)/, 1].to_i
      outcome = Glossema::Review::Outcome.from_row(row, source: content(pairs[at][0]),
        before: content(pairs[at][1]))
      [at, outcome] if outcome.changed?
    }.to_h
  end

  it "comes back as it went out, also once a spreadsheet has saved it" do
    [bytes, Office.saved(bytes, ending: "xlsx"), edited].each do |xlsx|
      expect(changes(xlsx).transform_values(&:written)).to eq({})
      expect(back(xlsx)).to have_attributes(id: "round-7", added: [], doubled: [])
      expect(back(xlsx).rows.map(&:id)).to eq(rows.map(&:id))
      expect(back(xlsx).rows.flat_map(&:comments)).to eq([])
    end
  end

  it "reads what was written, with remarks and comments by their author" do
    found = edited(["write", "C#{first}", "Verificare la catena."], ["write", "D#{first}", "più chiaro"],
      ["write", "C#{first + 2}", "= 2 · ‹1/›"], ["comment", "C#{first + 4}", "quanti?"])
    expect(changes(found).transform_values { |one| one.target.written }).to eq(
      0 => "Verificare la catena.", 2 => "= 2 · {1/}"
    )
    rows = back(found).rows
    expect(rows[0].comments.map(&:text)).to eq(["più chiaro"])
    expect(rows[4].comments.map(&:text)).to eq(["quanti?"])
  end

  it "leaves number and source as they are, and refuses damaged codes" do
    found = edited(["write", "C#{first + 1}", "Avvertenza:‹/1› caldo"])
    expect(changes(found)[1].refused.code).to eq("sheet-codes")
  end

  it "refuses a translation that was deleted whole" do
    found = edited(["write", "C#{first}", " "])
    expect(changes(found)[0]).to have_attributes(target: nil, refused: have_attributes(code: "sheet-emptied"))
  end

  it "locks what is not to be changed, and repeats its heading on paper" do
    parts = Zip::File.open_buffer(StringIO.new(bytes))
    sheet, styles, book = %w[worksheets/sheet1 styles workbook].map do |name|
      Nokogiri::XML(parts.read("xl/#{name}.xml")).remove_namespaces!
    end
    formats = styles.xpath("//cellXfs/xf")
    open = %w[A B C D E F].select do |column|
      format = formats[sheet.at_xpath("//c[@r = '#{column}#{first}']")["s"].to_i]
      format.at_xpath("protection/@locked")&.text == "0"
    end
    expect(open).to eq(%w[C D])
    expect(sheet.at_xpath("//sheetProtection")["sheet"]).to eq("1")
    expect(sheet.at_xpath("//col[@max = '6']")["hidden"]).to eq("1")
    expect(book.at_xpath("//definedName").text).to eq("'Owner’s  manual'!$7:$7")
  end

  it "notices rows that were moved, removed, doubled or added, and a column too many" do
    found = edited(["unprotect"], ["write", "C#{first}", "Uno."], ["move_row", first - 1, first + 2],
      ["remove_row", first], ["add_row", "Nuovo"], ["add_column", 1])
    expect(back(found)).to have_attributes(added: ["Nuovo"])
    expect(back(found).rows.map { |row| row.id[/u(\d+)/, 1].to_i }).to eq([1, 0, 3, 4])
    expect(changes(found).transform_values(&:written)).to eq(0 => "Uno.")
  end

  it "says of a sheet without its headings that it cannot be told which column is the translation" do
    found = edited(["unprotect"], ["remove_row", first - 3])
    expect(changes(found).values.map { |one| one.refused.code }.uniq).to eq(["sheet-cells"])
    strange = Axlsx::Package.new
    strange.workbook.add_worksheet { |sheet| sheet.add_row(%w[a b]) }
    expect { back(strange.to_stream.read) }.to raise_error(Glossema::Refused) { |error|
      expect(error.code).to eq("sheet-none")
    }
  end
end
