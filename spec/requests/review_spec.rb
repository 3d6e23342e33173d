# Rounds of review: a sheet out, edited by LibreOffice, back, its changes decided, all taken back.
require_relative "../../core/spec/support/office"

RSpec.describe "Review" do
  let(:user) { make_user }
  let(:project) do
    make_project(user, manual_docx([["p", "Check the chain."], ["p", ["<w:b/>", "Warning:"], " hot"],
                                    ["p", "Stop now."]]))
  end
  let(:segments) { project.segments.order(:position).to_a }
  let(:round) { project.review_rounds.first }

  before do
    sign_in(user)
    ["Controllare la catena.", "{1}Avvertenza:{/1} caldo", "Fermarsi."].zip(segments) do |text, segment|
      segment.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
  end

  def send_out(**more)
    post "/api/projects/#{project.id}/review_rounds", params: { reviser: "Matteo Ferrante", **more },
      as: :json
    made = outcome
    return made if made.key?("error")

    get "/api/review_rounds/#{made["round_id"]}"
    body["round"]
  end

  def sheet
    get "/api/review_rounds/#{round.id}", params: { as: "file" }
    response.body
  end

  def edited(*edits, bytes: sheet) = Office.edit(bytes, [["track", true], *edits])

  def bring(bytes, name: "back.docx", to: project)
    post "/api/projects/#{to.id}/review_sheet", params: { file: upload(bytes, name) }
    outcome
  end

  def changes
    get "/api/review_rounds/#{round.id}"
    body["changes"]
  end

  def decide(decision, list = changes, **more)
    post "/api/review_rounds/#{round.id}/decisions",
      params: { ids: list.map { |one| one["id"] }, decision: decision, **more }, as: :json
    body
  end

  it "goes out as a sheet and comes back with each change, its author, time and kind" do
    expect(send_out).to include("number" => 1, "state" => "out", "sent" => 3,
      "sheet" => "#{project.reference} Matteo Ferrante 1.docx")
    expect(bring(edited(%w[replace Controllare Verificare],
      %w[replace Fermarsi. Fermarsi!]))["strange"]).to eq(
        { "added" => [], "doubled" => [], "gone" => [], "moved" => [], "foreign" => 0 }
      )
    expect(changes.map { |one|
      one.values_at("number", "before", "after", "author", "kind", "decision")
    }).to eq([
      [1, "Controllare la catena.", "Verificare la catena.", "Matteo Ferrante", "wording", "open"],
      [3, "Fermarsi.", "Fermarsi!", "Matteo Ferrante", "marks", "open"]
    ])
    expect(changes.first["differences"].map { |one| one.values_at("memory", "source") }).to eq(
      [%w[Controllare Verificare]]
    )
    expect(body["amount"]).to include("sent" => 3, "segments" => 2, "changed" => 1, "kinds" => {
      "wording" => 1, "marks" => 1
    })
    expect(segments[0].reload.target).to eq("Controllare la catena.")
  end

  it "tells again what was strange about a sheet, and finds no row right that did not come back" do
    send_out
    bring(edited(["replace", "Controllare", "Verificare"], ["remove_row", 3]))
    get "/api/review_rounds/#{round.id}"
    expect(body["round"]["strange"]).to include("gone" => [3])
    patch "/api/review_rounds/#{round.id}", params: { close: true }, as: :json
    expect(segments.map { |one| one.reload.state }).to eq(%w[translated reviewed translated])
  end

  it "leaves a segment whose translation the reviser deleted as it is, and says why" do
    send_out
    bring(edited(["replace", "Fermarsi.", ""]))
    change = changes.first
    expect(change).to include("number" => 3, "after" => "", "kind" => "wording",
      "refused" => a_string_starting_with("The change was not accepted. The whole translation was deleted."))
    expect(decide("taken")["error"]).to include("code" => "change-refused")
    decide("left")
    expect(segments[2].reload).to have_attributes(target: "Fermarsi.", state: "translated")
    expect { segments[2].take_review(" ", round.corrections.first, by: user) }
      .to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("target-empty") }
    expect { segments[2].update!(target: "", state: "reviewed") }.to raise_error(ActiveRecord::RecordInvalid)
  end

  it "is taken and left one by one, in the history under the reviser’s name, and in the memories" do
    send_out
    bring(edited(%w[replace Controllare Verificare], %w[replace Fermarsi Arrestarsi]))
    decide("taken", changes.first(1))
    expect(segments[0].reload).to have_attributes(target: "Verificare la catena.", state: "reviewed")
    get "/api/segments/#{segments[0].id}/versions"
    expect(body.to_s).to include("Matteo Ferrante")
    unit = project.memories.first.units.find_by(segment_id: segments[0].id)
    expect(unit).to have_attributes(target: "Verificare la catena.", changed_by: "Matteo Ferrante")
    decide("left", changes.last(1))
    expect(segments[2].reload.target).to eq("Fermarsi.")
    expect(changes.map { |one| one["decision"] }).to eq(%w[taken left])
    decide("open", changes.first(1))
    expect(segments[0].reload).to have_attributes(target: "Controllare la catena.", state: "translated")
  end

  it "is taken back as a whole in one step" do
    send_out
    bring(edited(%w[replace Controllare Verificare], %w[replace Fermarsi Arrestarsi]))
    decide("taken")
    expect(segments.map { |one| one.reload.state }).to eq(%w[reviewed translated reviewed])
    patch "/api/review_rounds/#{round.id}", params: { reopen: true }, as: :json
    expect(segments.map { |one|
      one.reload.target
    }).to eq(["Controllare la catena.", "{1}Avvertenza:{/1} caldo",
              "Fermarsi."])
    expect(changes.map { |one| one["decision"] }).to eq(%w[open open])
  end

  it "goes out as a workbook too, whose remarks come back as notes" do
    expect(send_out(as: "xlsx")["sheet"]).to end_with(".xlsx")
    returned = Office.edit(sheet, [["write", "C8", "Verificare la catena."], ["write", "D9", "quanto?"]],
      ending: "xlsx")
    bring(returned, name: "back.xlsx")
    expect(changes.map { |one| one["after"] }).to eq(["Verificare la catena."])
    expect(project.notes.there.pluck(:text)).to eq(["quanto?"])
  end

  it "refuses damaged codes, and takes the wording with the codes put back" do
    send_out
    bring(edited(["replace", "‹1›", ""], %w[replace caldo rovente]))
    found = changes
    expect(found.first).to include("kind" => "codes", "refused" => "Missing codes: {1}.")
    decide("taken", found)
    expect(body["error"]).to include("code" => "change-refused",
      "message" => a_string_including("Missing codes: {1}."))
    decide("taken", found, mended: true)
    expect(segments[1].reload.target).to eq("{1}Avvertenza:{/1} rovente")
  end

  it "shows what she changed meanwhile, three ways" do
    send_out
    docx = edited(%w[replace Controllare Verificare])
    segments[0].reload.confirm("Controllare bene la catena.", origin: { "kind" => "typed" }, by: user)
    bring(docx)
    expect(changes.first).to include("conflict" => true, "before" => "Controllare la catena.",
      "after" => "Verificare la catena.", "now" => "Controllare bene la catena.")
    # The same on both sides is none.
    change = round.corrections.first
    change.segment.reload.confirm(change.after, origin: { "kind" => "typed" }, by: user)
    expect(change.reload).not_to be_conflict
  end

  it "says what is not as it went out, and takes in the rest" do
    send_out
    strange = bring(edited(["track", false], ["remove_row", 1], ["add_row", "Nuovo"],
      %w[replace Fermarsi Arrestarsi]))["strange"]
    expect(strange).to include("gone" => [1], "added" => ["Nuovo"])
    expect(changes.map { |one| one["after"] }).to eq(["Arrestarsi."])
  end

  it "closes: what was sent and found right is reviewed" do
    send_out
    bring(edited(%w[replace Controllare Verificare]))
    patch "/api/review_rounds/#{round.id}", params: { close: true }, as: :json
    expect(body["reviewed"]).to eq(2)
    expect(segments.map { |one| one.reload.state }).to eq(%w[translated reviewed reviewed])
  end

  it "holds the files that were chosen" do
    expect(send_out(document_ids: [project.documents.first.id])["sent"]).to eq(3)
    expect(send_out(document_ids: [0])["error"]["code"]).to eq("sheet-empty")
  end

  it "holds a part of the text, without what is not wanted" do
    send_out(segment_ids: [segments[2].id], instructions: false, tracking: false)
    document = Zip::File.open_buffer(StringIO.new(sheet)).read("word/document.xml").force_encoding("UTF-8")
    expect(document).to include("Fermarsi.")
    expect(document).not_to match(/catena|Leggere/)
    expect(send_out(segment_ids: [0])["error"]["code"]).to eq("sheet-empty")
  end

  it "refuses a sheet of another project, what is none, and one whose changes are being decided" do
    send_out
    docx = edited(%w[replace Controllare Verificare])
    other = make_project(user, "Oil it.", name: "o.txt")
    expect(bring(docx, to: other)["error"]["code"]).to eq("sheet-strange")
    expect(bring(manual_docx)["error"]["code"]).to eq("sheet-none")
    bring(docx)
    decide("taken")
    expect(bring(docx)["error"]["code"]).to eq("round-decided")
    expect(segments[0].reload.target).to eq("Verificare la catena.")
    delete "/api/review_rounds/#{round.id}"
    expect(segments[0].reload.target).to eq("Controllare la catena.")
    expect(project.review_rounds.count).to eq(0)
  end

  %w[xliff xliff12 tmx].each do |form|
    it "goes through an outside program as #{form}, and comes back the same way" do
      expect(send_out(as: form)["sheet"]).to end_with(Glossema::Review::Bilingual::FORMS.fetch(form))
      text = sheet.dup.force_encoding("UTF-8")
      expect(bring(text, name: "back.#{form}")).to include("round_id" => round.id)
      expect(round.reload.state).to eq("back")
      expect(changes).to eq([])
      bring(text.sub("Controllare", "Verificare").sub("Stop now.", "Halt now."), name: "back.#{form}")
      expect(changes.map { |one| one.values_at("number", "after", "refused") }).to eq([
        [1, "Verificare la catena.", nil],
        [3, "Fermarsi.", "The change was not accepted. The source was changed in this file."]
      ])
      decide("taken", changes.first(1))
      expect(segments[0].reload).to have_attributes(target: "Verificare la catena.", state: "reviewed")
    end
  end

  it "is told in a report, how much and of what kind" do
    send_out
    bring(edited(%w[replace Controllare Verificare]))
    get "/api/review_rounds/#{round.id}", params: { as: "report" }
    bytes = response.body
    table = Glossema::Formats.detect(bytes, "f.xlsx").read(bytes, name: "f.xlsx", options: {})
    expect(table.first_rows(20)).to include(["Reviser", "Matteo Ferrante"], ["Segments changed", "1"],
      ["Words changed", "1"], ["Changes: wording", "1"])
    strings = Zip::File.open_buffer(StringIO.new(bytes)).read("xl/sharedStrings.xml")
    expect(strings).to include("Verificare la catena.", "Controllare la catena.")
  end

  it "takes comments for notes, once" do
    send_out
    comment = '<w:comment w:id="9" w:author="Matteo Ferrante" w:date="2026-11-25T08:31:00Z"><w:p><w:r>' \
      "<w:t>everywhere</w:t></w:r></w:p></w:comment>"
    docx = Zip::OutputStream.write_buffer { |out|
      Zip::File.open_buffer(StringIO.new(sheet)).each do |entry|
        text = entry.get_input_stream.read.force_encoding("UTF-8")
        text = text.sub(%r{/>\s*\z}, ">#{comment}</w:comments>") if entry.name == "word/comments.xml"
        text = text.sub("Fermarsi.</w:t></w:r>",
          'Fermarsi.</w:t></w:r><w:r><w:commentReference w:id="9"/></w:r>') if
          entry.name == "word/document.xml"
        out.put_next_entry(entry.name)
        out.write(text)
      end
    }.string
    2.times { bring(docx) }
    expect(project.notes.map { |note| [note.segment_id, note.author, note.text] }).to eq(
      [[segments[2].id, "Matteo Ferrante", "everywhere"]]
    )
  end

  # The sheet with its parts changed by the block, which is given the name and text of each.
  def changed(bytes)
    Zip::OutputStream.write_buffer { |out|
      Zip::File.open_buffer(StringIO.new(bytes)).each do |entry|
        out.put_next_entry(entry.name)
        out.write(yield(entry.name, entry.get_input_stream.read.force_encoding("UTF-8")))
      end
    }.string
  end

  # A text typed into the column for notes beside a translation.
  def noted(bytes, translation, text)
    changed(bytes) do |name, xml|
      next xml unless name == "word/document.xml"

      rows = xml.split("</w:tr>")
      at = rows.index { |row| row.include?(translation) }
      run = "<w:r><w:t>#{text}</w:t></w:r>"
      rows[at] = rows[at].sub(%r{(<w:pStyle w:val="ReviewNote"/>.*?)</w:p>}m) {
        "#{Regexp.last_match(1)}#{run}</w:p>"
      }
      rows.join("</w:tr>")
    end
  end

  def texts = project.notes.reload.order(:id).map { |note| [note.segment_id, note.text] }

  it "takes what was written in the column for notes, once in each round" do
    2.times do
      send_out
      bytes = noted(project.review_rounds.reload.last.sheet.download, "Fermarsi.", "Ask the client.")
      2.times { bring(bytes) }
      project.notes.update_all(settled_at: Time.current)
    end
    expect(texts).to eq([[segments[2].id, "Ask the client."]] * 2)
  end

  it "takes notes of both versions of XLIFF" do
    segments[0].update!(note: "A sign")
    { "xliff" => %w[</notes> <note>Too\ formal?</note></notes>],
      "xliff12" => %w[</note> </note><note\ from="Matteo">Too\ short?</note>] }.each do |form, (from, to)|
      send_out(as: form)
      text = project.review_rounds.reload.last.sheet.download.force_encoding("UTF-8")
      bring(text.sub(from, to), name: "a.xlf")
    end
    expect(texts).to eq([[segments[0].id, "Too formal?"], [segments[0].id, "Too short?"]])
  end

  it "names edits of segments that were joined since by the sheet's number and text" do
    send_out
    number = segments[2].position
    segments[2].update_columns(key: "gone", document_id: segments[2].document.stage.id)
    Segment.where(id: segments[2].id).update_all(project_id: make_project(user).id)
    bring(changed(sheet) { |_, xml| xml.sub("Fermarsi.", "Fermarsi subito.") })
    expect(round.reload.options["strange"]).to include("moved" => [[number, "Fermarsi subito."]],
      "foreign" => 0)
  end
end
