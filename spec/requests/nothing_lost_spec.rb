# Nothing typed, nothing dropped is lost: other wordings meanwhile, other accounts, files in and out, cuts and
# rules taken back, things put away.
RSpec.describe "Nothing is lost", type: :request do
  let(:user) { make_user }
  let(:project) { make_project(user) }
  let(:segment) { project.segments.order(:position).first }

  before { sign_in(user) }

  def write(segment, target, **rest)
    patch "/api/segments/#{segment.id}", params: { target: target, origin: { kind: "typed" }, **rest },
      as: :json
  end

  def states = project.reload.segments.order(:position).map { |row| [row.source, row.target, row.state] }

  describe "two wordings of one segment" do
    it "changes nothing when another one is there than was written on, and answers it" do
      write(segment, "Uno", base: 0)
      base = body["segment"]["version"]
      write(segment, "Due", base: base)
      write(segment, "Tre", base: base)
      expect(response).to have_http_status(409)
      expect(body).to include("error" => include("code" => "changed-meanwhile"),
        "segment" => include("target" => "Due"))
      expect(segment.reload.target).to eq("Due")
    end

    it "takes the same wording twice, and one that knows of no other" do
      write(segment, "Uno", base: 0)
      write(segment, "Uno", base: 0)
      expect(response).to have_http_status(200)
      write(segment, "Due")
      expect(segment.reload.target).to eq("Due")
    end

    it "keeps the wording that gave way in Past" do
      write(segment, "Uno")
      post "/api/segments/#{segment.id}/versions", params: { target: "Mio", origin: { kind: "typed" } },
        as: :json
      expect(segment.reload.target).to eq("Uno")
      get "/api/segments/#{segment.id}/versions"
      expect(body.map { |row| row["target"] }).to include("Mio", "Uno")
    end

    it "tells all open pages what changed, repeats too" do
      repeat = project.segments.where(source: "Check the straps again.").order(:position).first
      heard, listening = Queue.new, Queue.new
      channel = ProjectChannel.broadcasting_for(project)
      ActionCable.server.pubsub.subscribe(channel, heard.method(:<<), -> { listening << true })
      listening.pop
      write(repeat, "Ricontrollare le cinghie.", confirm: true)
      news = Timeout.timeout(20) { JSON.parse(heard.pop) }
      expect(news["event"]).to eq("segments")
      expect(news["segments"].map { |row| row["target"] }).to eq(["Ricontrollare le cinghie."] * 2)
    end
  end

  it "is confirmed again when typing is taken back to what was confirmed" do
    write(segment, "Fino a {1}80 kg{/1}", confirm: true)
    write(segment, "Fino a {1}80 kg{/1}!")
    expect(body["segment"]["state"]).to eq("draft")
    write(segment, "Fino a {1}80 kg{/1}", undone: true)
    expect(body["segment"]["state"]).to eq("translated")
  end

  it "drops characters no document can hold" do
    write(segment, "U\u0001no\u000B")
    expect(segment.reload.target).to eq("Uno")
  end

  it "keeps nothing that one person typed as another’s" do
    patch "/api/segments/#{segment.id}",
      params: { target: "Uno" }, headers: { "X-User" => (user.id + 1).to_s }, as: :json
    expect(response).to have_http_status(401)
    expect(body["error"]["code"]).to eq("other-account")
    expect(segment.reload.target).to eq("")
  end

  describe "files of a begun project" do
    it "come in, go out and come back, each taken back from what was done" do
      count = project.segments.count
      upload = Rack::Test::UploadedFile.new(StringIO.new("Ring the bell."), "text/plain",
        original_filename: "bell.txt")
      post "/api/projects/#{project.id}/documents", params: { files: [upload] }
      perform_enqueued_jobs
      expect(project.reload.segments.count).to eq(count + 1)

      delete "/api/documents/#{project.documents.first.id}"
      expect(project.reload.documents.map(&:name)).to eq(["bell.txt"])
      get "/api/projects/#{project.id}/operations"
      expect(body.map { |row| row["kind"] }).to eq(%w[file_removal file_addition])
      list = body
      list.each { |row| undo(row["id"]) }
      expect(project.reload.documents.map(&:name)).to eq(["manual.docx"])
      undo(list.last["id"])
      expect(body["error"]["code"]).to eq("undone")
    end
  end

  describe "cutting anew" do
    let(:project) { make_project(user, "Check the brakes. Ring the bell.\nLoad the box.", name: "a.txt") }

    before do
      project.segments.order(:position).each_with_index { |row, index|
        row.confirm("T#{index}", origin: {}, by: user)
      }
    end

    def cut(by)
      patch "/api/documents/#{project.documents.first.id}", params: { by: by }, as: :json
      perform_enqueued_jobs
    end

    it "shows first what would become of the translation" do
      document = project.documents.first
      post "/api/projects/#{project.id}/segmentation_preview",
        params: { document_id: document.id, by: "paragraph" },
        as: :json
      expect(body).to eq(
        "before" => 3,
        "after" => 2,
        "kept" => 1,
        "loose" => 2,
        "examples" => ["Check the brakes.", "Ring the bell."]
      )
      expect(document.reload.by).to eq("sentence")
    end

    it "loses nothing on the way to paragraphs and back, states and histories included" do
      before = states
      cut("paragraph")
      expect(states.map(&:first)).to eq(["Check the brakes. Ring the bell.", "Load the box."])
      expect(states.last).to eq(["Load the box.", "T2", "translated"])
      first = project.segments.order(:position).first
      expect(first.versions.map(&:target)).to include("T0", "T1", "T0 T1")
      cut("sentence")
      expect(states).to eq(before)
      expect(project.segments.order(:position).first.versions.map(&:state)).to eq(["translated"])
    end

    it "is taken back later without losing what was done since" do
      cut("paragraph")
      project.reload.segments.order(:position).last.confirm("Caricare il cassone.", origin: {}, by: user)
      get "/api/projects/#{project.id}/operations"
      undo(body.first["id"])
      perform_enqueued_jobs
      expect(states.map { |row| row[1] }).to eq(["T0", "T1", "Caricare il cassone."])
    end

    it "offers what was written meanwhile where a text is cut as it once was" do
      cut("paragraph")
      project.reload.segments.order(:position).first.confirm("Freni e campanello.", origin: {}, by: user)
      cut("sentence")
      first = project.reload.segments.order(:position).first
      expect(first.target).to eq("T0")
      expect(first.alternatives.map { |one| one["target"] }).to include("Freni e campanello.")
    end

    it "takes back a cut by hand" do
      before = states
      row = project.segments.order(:position).last
      post "/api/segments/#{row.id}/cut", params: { at: 5 }, as: :json
      expect(project.reload.segments.count).to eq(4)
      get "/api/projects/#{project.id}/operations"
      expect(body.first).to include("kind" => "segment_split", "result" => { "text" => "Load the box." })
      undo(body.first["id"])
      expect(states).to eq(before)
    end

    it "parts a translation with its source, and its past goes with both halves" do
      fresh = make_project(user, "Check the brakes; ring the bell.", name: "b.txt")
      row = fresh.segments.first
      row.confirm("Controllare i freni; suonare.", origin: {}, by: user)
      post "/api/segments/#{row.id}/cut", params: { at: 18 }, as: :json
      halves = fresh.reload.segments.order(:position).to_a
      expect(halves.map { |one| [one.source, one.target, one.state] }).to eq(
        [["Check the brakes;", "Controllare i freni;", "draft"], ["ring the bell.", "suonare.", "draft"]]
      )
      expect(halves.last.versions.map(&:target)).to include("Controllare i freni; suonare.")
    end

    it "brings rules back that were replaced" do
      rules = Glossema::Segmentation::Srx.default
      patch "/api/projects/#{project.id}/rules",
        params: { groups: rules.excepting("en-GB", "brakes.").to_h }, as: :json
      perform_enqueued_jobs
      expect(project.reload.segments.count).to eq(2)
      get "/api/projects/#{project.id}/operations"
      undo(body.first["id"])
      perform_enqueued_jobs
      expect(project.reload).to have_attributes(rules: nil)
      expect(states.map { |row| row[1] }).to eq(%w[T0 T1 T2])
    end
  end

  describe "what was put away" do
    it "is listed, for projects, files, memories, units and rules, and comes back" do
      memory = make_memory(user, [["Stop.", "Fermarsi."]])
      document = project.documents.first
      project.update!(rules: Glossema::Segmentation::Srx.default.excepting("en-GB", "x.").xml)
      delete "/api/projects/#{project.id}/rules"
      post "/api/memories/#{memory.id}/changes", params: { kind: "delete", ids: memory.units.ids }, as: :json
      delete "/api/documents/#{document.id}"
      delete "/api/projects/#{project.id}"
      delete "/api/memories/#{make_memory(user, [], name: "Old").id}"
      get "/api/trash_items"
      list = body["items"]
      expect(list.map { |row|
        row["kind"]
      }).to contain_exactly("project", "document", "memory", "units", "rules")
      list.each { |row| patch "/api/trash_items/#{row["kind"]}-#{row["id"]}" }
      expect(body["items"]).to eq([])
      expect(memory.reload.units.count).to eq(1)
      expect(user.projects.reload.find(project.id).documents.map(&:id)).to eq([document.id])
      expect(user.memories.present.map(&:name)).to include("Old")
      expect(project.reload.rules).to be_present
    end

    it "is nobody else’s" do
      delete "/api/projects/#{project.id}"
      get "/api/trash_items"
      id = body["items"].first["id"]
      sign_in(make_user("Anneke Vos"))
      get "/api/trash_items"
      expect(body["items"]).to eq([])
      patch "/api/trash_items/project-#{id}"
      expect(response).to have_http_status(404)
    end
  end

  describe "while the disk of the server" do
    let(:segment) { make_project(user, "Oil the chain.", name: "b.txt").segments.first }

    def write(target)
      patch "/api/segments/#{segment.id}", params: { target: target, origin: { kind: "typed" } }, as: :json
      [response.status, body.dig("error", "code")]
    end

    def pragma(setting) = ActiveRecord::Base.connection.execute("PRAGMA #{setting}")

    before { segment }

    it "cannot be written to, says so, and takes the text when it can" do
      pragma("query_only = ON")
      expect(write("Oliare la catena.")).to eq([507, "disk-refuses"])
      get "/api/projects/#{segment.project_id}/segments"
      expect(response).to have_http_status(:ok)
      pragma("query_only = OFF")
      expect(write("Oliare la catena.").first).to eq(200)
      expect(segment.reload.target).to eq("Oliare la catena.")
    ensure
      pragma("query_only = OFF")
    end

    it "takes no files, says so and keeps nothing of them" do
      service = ActiveStorage::Blob.service
      allow(service).to receive(:root).and_return("/sys/glossema")
      count = Document.count
      post "/api/projects/#{segment.project_id}/documents", params: { files: [upload("Text.", "c.txt")] }
      expect([response.status, body.dig("error", "code")]).to eq([507, "disk-refuses"])
      expect(Document.count).to eq(count)
    end
  end
end
