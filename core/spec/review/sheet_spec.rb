# Review sheets: out, edited by a real word processor, and back.
require_relative "../support/office"

RSpec.describe Glossema::Review::Sheet do
  pairs = [
    ["Check the chain.", "Controllare la catena."],
    ["{1}Warning:{/1} hot", "{1}Avvertenza:{/1} caldo"],
    ["Don't \"stop\"...", "Non \"fermarsi\"..."],
    ["It weighs 80\u00A0kg.", "Pesa 80\u00A0kg."],
    ["a\tb\nc {1/}", "a\tb\nc {1/}"]
  ]

  def content(written) = Glossema::Content.from_written(written)

  let(:rows) do
    pairs.each_with_index.map do |(source, target), index|
      Glossema::Review::Row.new(id: "f1/u#{index}:1", file: "manual.docx", number: index + 1,
        source: content(source), target: content(target), notes: ["note #{index}"],
        terms: index.zero? ? [["chain", ["catena"]]] : [])
    end
  end
  let(:pairs) { pairs }
  let(:about) { { id: "round-7", title: "Owner’s manual", languages: %w[en-GB it-IT], rows: rows } }
  let(:bytes) { described_class.new(**about).bytes(at: Time.utc(2026, 11, 24, 9)) }

  def back(docx) = Glossema::Review::Returned.new(docx, "sheet.docx")

  # {index of the row => Outcome} of those that changed.
  def changes(docx)
    returned = back(docx)
    returned.rows.filter_map { |row|
      at = row.id[/u(\d+)/, 1].to_i
      outcome = Glossema::Review::Outcome.from_row(row, source: content(pairs[at][0]),
        before: content(pairs[at][1]))
      [at, outcome] if outcome.changed?
    }.to_h
  end

  # LibreOffice without a screen cannot show comments.
  def edited(*edits) = Office.edit(described_class.new(**about, terms: false).bytes, edits)
  def xml(docx, part) = Zip::File.open_buffer(StringIO.new(docx)).read(part).force_encoding("UTF-8")

  # A part of the sheet put otherwise.
  def with(docx, part)
    Zip::OutputStream.write_buffer { |out|
      Zip::File.open_buffer(StringIO.new(docx)).each do |entry|
        out.put_next_entry(entry.name)
        text = entry.get_input_stream.read
        out.write(entry.name == part ? yield(text.force_encoding("UTF-8")) : text)
      end
    }.string
  end

  it "comes back as it went out, also once a word processor has saved it" do
    [bytes, edited, Office.saved(bytes)].each do |docx|
      expect(changes(docx)).to eq({})
      expect(back(docx)).to have_attributes(id: "round-7", added: [], doubled: [])
      expect(back(docx).rows.map(&:id)).to eq(rows.map(&:id))
    end
  end

  it "holds a heading that repeats, page numbers, locked sources, codes as such, terms as comments" do
    document = xml(bytes, "word/document.xml")
    expect(document).to include("<w:tblHeader/>", '<w:lock w:val="sdtContentLocked"/>', "manual.docx",
      "note 1")
    expect(document.scan("ReviewCode").size).to eq(6)
    expect(xml(bytes, "word/footer1.xml")).to include(" PAGE ")
    expect(xml(bytes, "word/comments.xml")).to include("chain: catena")
    expect(xml(bytes, "word/settings.xml")).to include("trackRevisions")
    expect(document).to include("Leggere la traduzione")
  end

  it "leaves out what is not wanted, and stands right to left where that is due" do
    bare = described_class.new(id: "x", title: "T", languages: %w[en ar], rows: rows.first(1),
      instructions: [], tracking: false, notes: false, terms: false).bytes
    document = xml(bare, "word/document.xml")
    expect(document).not_to match(/Leggere|Please|note 0|commentReference/)
    expect(document).to include("<w:bidi/>", "<w:rtl/>")
    expect(xml(bare, "word/settings.xml")).not_to include("trackRevisions")
    expect(xml(bare, "word/document.xml").scan("<w:gridCol").size).to eq(3)
  end

  {
    "tracked changes" => [["track", true], %w[replace Controllare Verificare]],
    "changes that are not tracked" => [["track", false], %w[replace Controllare Verificare]],
    "changes that were accepted" => [["track", true], %w[replace Controllare Verificare], ["accept"]]
  }.each do |what, edits|
    it "reads #{what}, with their author and time" do
      docx = edited(*edits)
      expect(changes(docx).transform_values(&:written)).to eq({ 0 => "Verificare la catena." })
      row = back(docx).rows.first
      expect(row.author).to eq("Matteo Ferrante")
      expect(Time.iso8601(row.at)).to be_within(86_400).of(Time.now)
    end
  end

  it "takes rejected changes and formatting for none" do
    expect(changes(edited(["track", true], %w[replace Controllare Verificare], ["reject"]))).to eq({})
    expect(changes(edited(["track", true], %w[bold C3]))).to eq({})
  end

  it "lets pass what word processors do by themselves" do
    edits = [["replace", "\"fermarsi\"", "“fermarsi”"], %w[replace ... …],
             ["replace", "80\u00A0kg", "80 kg"], %w[replace Non Mai]]
    expect(changes(edited(["track", false], *edits)).transform_values(&:written)).to eq(
      { 2 => "Mai \"fermarsi\"..." }
    )
  end

  it "refuses damaged codes for their segment alone, and says which" do
    found = changes(edited(["track", true], ["replace", "‹1›", ""], %w[replace catena cinghia]))
    expect(found[0].target.written).to eq("Controllare la cinghia.")
    expect(found[1]).to have_attributes(target: nil, written: "Avvertenza:{/1} caldo")
    expect(found[1].refused).to have_attributes(code: "sheet-codes", message: "Missing codes: {1}.")
  end

  it "finds rows wherever they stand, and says which were added, deleted or doubled" do
    moved = back(edited(["track", false], ["move_row", 2, 4]))
    expect(moved.rows.map(&:id)).to match_array(rows.map(&:id))
    gone = back(edited(["track", false], ["remove_row", 3], ["add_row", "Nuovo"]))
    expect(gone.rows.map(&:id)).to eq(rows.map(&:id) - ["f1/u1:1"])
    expect(gone.added).to eq(["Nuovo"])
    twice = with(bytes, "word/document.xml") do |text|
      row = text[%r{<w:tr>(?:(?!</w:tr>).)*gl:f1%2Fu0(?:(?!</w:tr>).)*</w:tr>}m]
      text.sub(row, row + row)
    end
    expect(back(twice).doubled).to eq(["f1/u0:1"])
  end

  it "reads comments with their author, and not those about terms" do
    comment = '<w:comment w:id="7" w:author="Matteo Ferrante" w:date="2026-11-25T08:31:00Z"><w:p><w:r>' \
      "<w:t>everywhere, please</w:t></w:r></w:p></w:comment>"
    docx = with(bytes, "word/comments.xml") { |text| text.sub("</w:comments>", "#{comment}</w:comments>") }
    docx = with(docx, "word/document.xml") do |text|
      text.sub(%r{(Controllare la catena\.</w:t></w:r>)}) {
        "#{Regexp.last_match(1)}<w:r><w:commentReference w:id=\"7\"/></w:r>"
      }
    end
    expect(back(docx).rows.first.comments.map(&:to_a)).to eq(
      [["everywhere, please", "Matteo Ferrante", "2026-11-25T08:31:00Z"]]
    )
  end

  it "names all who changed a translation, and reads the column for notes" do
    change = lambda do |author, day, text|
      "<w:ins w:id=\"9\" w:author=\"#{author}\" w:date=\"2026-11-#{day}T08:00:00Z\"><w:r>" \
        "<w:t>#{text}</w:t></w:r></w:ins>"
    end
    docx = with(bytes, "word/document.xml") do |text|
      text.sub("Controllare la catena.</w:t></w:r>") do |cell|
        cell + change.call("Bo Lund", 25, "Sì.") + change.call("Ada Roe", 24, "No.")
      end.sub("note 0</w:t></w:r>") { |note| note + change.call("Ada Roe", 24, " and more") }
    end
    first, second = back(docx).rows.first(2)
    expect([first.author, first.at]).to eq(["Ada Roe, Bo Lund", "2026-11-25T08:00:00Z"])
    expect(first.notes.map { |note| [note.text, note.author] }).to eq([["note 0 and more", "Ada Roe"]])
    expect(second.notes.map(&:text)).to eq(["note 1"])
  end

  it "knows the column of translations by its style, beside one that was added too, or says it cannot" do
    added = with(bytes, "word/document.xml") do |text|
      text.gsub("<w:tr><w:trPr><w:cantSplit/></w:trPr>",
        "<w:tr><w:trPr><w:cantSplit/></w:trPr><w:tc><w:p><w:r><w:t>new</w:t></w:r></w:p></w:tc>")
    end
    expect(changes(added)).to eq({})
    merged = with(bytes, "word/document.xml") do |text|
      text.gsub(/<w:pStyle w:val="ReviewTarget"\/>/, "").sub(%r{<w:tc>(?:(?!</w:tc>).)*note 0.*?</w:tc>}m, "")
        .sub(%r{<w:tc>(?:(?!</w:tc>).)*Controllare.*?</w:tc>}m, "")
    end
    expect(changes(merged)[0].refused.code).to eq("sheet-cells")
  end

  {
    "no ZIP" => ["what", /is not|cannot|damaged/i],
    "a document without our rows" => [:other, /not a review sheet/]
  }.each do |what, (given, sentence)|
    it "refuses #{what}" do
      docx = given == :other ? with(bytes, "word/document.xml") { |text| text.gsub(/#gl:[^#]+#/, "") } : given
      expect { back(docx) }.to raise_error(Glossema::Refused, sentence)
    end
  end
end

RSpec.describe Glossema::Review::Settled do
  [
    ["Non fermarsi.", "Non fermarsi.", "Non fermarsi."],
    ["l'olio", "l’olio", "l'olio"],
    ["l'olio", "l’olio nuovo", "l'olio nuovo"],
    ["l’olio", "l'olio", "l'olio"],
    ["\"a\" e b", "«a» e b", "«a» e b"],
    ["80\u00A0kg", "80 kg", "80\u00A0kg"],
    ["80 kg", "90\u00A0kg", "90 kg"],
    ["Attesa...", "Attesa…", "Attesa..."],
    ["parola", "pa\u00ADrola", "parola"],
    ["{1}a{/1} b", "{1}a{/1}  b", "{1}a{/1}  b"]
  ].each do |before, after, meant|
    it "takes #{after.inspect} after #{before.inspect} for #{meant.inspect}" do
      expect(described_class.settle(before, after)).to eq(meant)
    end
  end
end

RSpec.describe Glossema::Review::Changes do
  def content(text) = Glossema::Content.from_written(text)

  [
    ["Usare il caricatore.", "Usare il caricabatterie.", "wording"],
    ["Usare il pattino.", "Usare la pastiglia.", "terms"],
    ["Usare, poi via.", "Usare; poi via.", "marks"],
    ["usare", "Usare", "marks"],
    ["{1}a{/1} b", "a {1}b{/1}", "codes"]
  ].each do |before, after, kind|
    it "calls #{before} → #{after} #{kind}" do
      expect(described_class.kind(content(before), content(after), terms: %w[pastiglia])).to eq(kind)
    end
  end

  it "counts the words that are others" do
    expect(described_class.amount(content("uno due tre"), content("uno sei tre quattro"))).to include(
      "words" => 3, "changed" => 2
    )
  end
end
