require "open3"

# Notes on segments and files, questions to the client out and back, and what becomes of them when the text is
# cut anew or replaced.
RSpec.describe "Notes" do
  let(:user) { make_user }
  let(:project) do
    make_project(user, "Check the chain. Oil it weekly.\n\nFit the rack.", name: "b.txt")
  end
  let(:segments) { project.segments.order(:position).to_a }

  before { sign_in(user) }

  def add(text, segment: segments[1], **more)
    post "/api/projects/#{project.id}/notes", params: { segment_id: segment.id, text: text, **more },
      as: :json
    body
  end

  def list
    get "/api/projects/#{project.id}/notes"
    body
  end

  def take_in(bytes, name)
    post "/api/projects/#{project.id}/question_sheet", params: { file: upload(bytes, name) }
    body
  end

  def sheet(form)
    get "/api/projects/#{project.id}/question_sheet", params: { as: form }
    response.body
  end

  # A DOCX as a word processor reads it.
  def read_by_office(bytes)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/t.docx", bytes)
      Open3.capture2e("soffice", "-env:UserInstallation=file://#{folder}/office", "--headless",
        "--convert-to", "txt:Text", "--outdir", folder, "#{folder}/t.docx")
      File.read("#{folder}/t.txt")
    end
  end

  it "stand on a segment or a file, are changed, settled, taken away and brought back" do
    note = add(" Weekly or monthly? ")
    expect(note).to include("text" => "Weekly or monthly?", "author" => user.name, "kind" => "note",
      "number" => 2, "source" => "Oil it weekly.", "settled_at" => nil)
    post "/api/projects/#{project.id}/notes",
      params: { document_id: project.documents.first.id, text: "Terms as last time" }, as: :json
    expect(list.pluck("text", "number")).to eq([["Terms as last time", nil], ["Weekly or monthly?", 2]])
    patch "/api/notes/#{note["id"]}", params: { text: "Weekly?", kind: "question", settled: true }, as: :json
    expect(body).to include("text" => "Weekly?", "kind" => "question", "settled_at" => be_present)
    delete "/api/notes/#{note["id"]}"
    expect(list.size).to eq(1)
    patch "/api/notes/#{note["id"]}", params: { deleted: false }, as: :json
    expect(list.size).to eq(2)
    add("  ")
    expect(body["error"]["code"]).to eq("note-empty")
  end

  it "find their text again when it is cut anew, and when a newer version of the file takes its place" do
    add("About the second sentence")
    project.documents.first.join(segments[0], by: user)
    expect(list.pluck("number")).to eq([1])
    project.documents.first.split(project.segments.reload.order(:position).first, 16, by: user)
    expect(list.pluck("number")).to eq([2])
    fresh = "Unpack it.\n\nCheck the chain. Oil it weekly.\n\nFit the rack."
    perform_enqueued_jobs do
      post "/api/documents/#{project.documents.first.id}/version", params: { files: [upload(fresh, "b.txt")] }
    end
    newer = Document.find(body["id"])
    patch "/api/documents/#{newer.id}/version"
    finish
    expect(list.pluck("number", "document_id")).to eq([[3, newer.id]])
    delete "/api/documents/#{newer.id}/version"
    expect(list.pluck("number")).to eq([2])
  end

  it "leave as questions, as DOCX and XLSX, and come back answered in any order" do
    ids = [add("Weekly?", kind: "question"),
           add("Which rack?", segment: segments[2], kind: "question")].pluck("id")
    add("A note stays here")
    expect(Glossema::Exchange::WordTable.rows(sheet("docx"), "q.docx").map { |row|
      row.values_at(0, 1, 2, 4)
    })
      .to eq([["No.", "Where", "Text", "Question"], ["Q#{ids[0]}", "b.txt, 2", "Oil it weekly.", "Weekly?"],
              ["Q#{ids[1]}", "b.txt, 3", "Fit the rack.", "Which rack?"]])
    rows = [["No."], ["Q#{ids[1]}", "", "", "", "", "The rear one"], ["Q#{ids[0]}"],
            ["Q999999", "", "", "", "", "x"]]
    answered = Glossema::Exchange::WordTable.new(title: "", paragraphs: [], rows: rows,
      columns: Array.new(6) { Glossema::Exchange::WordTable::Column.new(heading: "", share: 16) }).bytes
    expect(take_in(answered, "q.docx")).to eq("taken" => 1, "same" => 1, "strange" => [999_999])
    expect(list.find { |note| note["id"] == ids[1] }).to include("answer" => "The rear one",
      "answered_by" => "the client", "answered_at" => be_present)
    expect(read_by_office(sheet("docx"))).to include("Which rack?", "The rear one")
    expect(take_in(sheet("xlsx"), "q.xlsx")).to eq("taken" => 0, "same" => 2, "strange" => [])
  end

  it "refuse a sheet that is none, one of another project, and one of no questions" do
    get "/api/projects/#{project.id}/question_sheet"
    expect(body["error"]["code"]).to eq("no-questions")
    expect(take_in("a,b\n1,2\n", "q.csv")["error"]["code"]).to eq("no-answers")
    expect(take_in("No.,Where\nQ77,x\n", "q.csv")["error"]).to eq("code" => "sheet-of-another",
      "message" => "No question in “q.csv” belongs to this project.")
    expect(take_in("just text", "q.txt")["error"]["code"]).to eq("no-answers")
  end
end
