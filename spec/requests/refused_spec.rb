# Bad requests: each code the API refuses with, brought about once, changes nothing and is told in a sentence.
RSpec.describe "What the API refuses" do
  let(:user) { make_user }
  let(:project) { make_project(user) }
  let(:document) { project.documents.first }
  let(:memory) { make_memory(user, [["Check the straps.", "Controllare le cinghie."]]) }

  before { sign_in(user) }

  def ask(method, path, params = {}, **more) = public_send(method, path, params: params, as: :json, **more)

  def brief(**with) = user.projects.create!(name: "Leaflet", source_lang: "en", target_lang: "it", **with)

  def change(kind, **with) = ask(:post, "/api/memories/#{memory.id}/changes", { kind: kind, **with })

  {
    "brief-open" => ->(spec) { spec.ask(:post, "/api/projects/#{spec.brief.id}/beginning") },
    "not-found" => ->(spec) { spec.ask(:get, "/api/projects/0") },
    "not-valid" => ->(spec) { spec.ask(:post, "/api/clients", { name: "" }) },
    "no-file" => ->(spec) { spec.ask(:post, "/api/projects/#{spec.project.id}/documents") },
    "kind-unknown" => ->(spec) { spec.change("polish", ids: [1]) },
    "nothing-chosen" => ->(spec) { spec.change("delete", ids: [0]) },
    "merge-self" => ->(spec) { spec.change("merge", from: spec.memory.id) },
    "split-by" => ->(spec) { spec.change("split", by: "colour") },
    "split-one" => ->(spec) { spec.change("split", by: "client") },
    "text-empty" => ->(spec) {
      spec.ask(:post, "/api/projects/#{spec.project.id}/exceptions", { text: " " })
    },
    "not-compared" => ->(spec) { spec.ask(:patch, "/api/documents/#{spec.document.id}/version") },
    "nothing-before" => ->(spec) { spec.ask(:delete, "/api/documents/#{spec.document.id}/version") },
    "link-old" => ->(spec) { spec.ask(:patch, "/api/password_resets/old", { password: "cargo-bicycle" }) },
    "password-wrong" => ->(spec) {
      spec.ask(:patch, "/api/account", { password: "another-bicycle", current_password: "x" })
    },
    "nothing-ready" => lambda do |spec|
      spec.document.move_to_trash(by: spec.user)
      spec.ask(:post, "/api/projects/#{spec.project.id}/deliveries")
    end,
    "pair-wrong" => lambda do |spec|
      dutch = spec.user.memories.create!(name: "Dutch", source_lang: "en", target_lang: "nl")
      spec.change("merge", from: dutch.id)
    end,
    "columns-unknown" => lambda do |spec|
      file = Rack::Test::UploadedFile.new(StringIO.new("a;b"), "text/csv", original_filename: "e.csv")
      spec.post "/api/memories/#{spec.memory.id}/exchange", params: { file: file, columns: "{first" }
    end,
    "file-gone" => lambda do |spec|
      removal = Operations::FileRemoval.record(spec.project, by: spec.user, before: { "document_id" => 0 })
      spec.undo(removal)
    end,
    "busy" => lambda do |spec|
      spec.undo(Operations::UnitImport.create!(subject: spec.memory, user: spec.user, state: "running"))
    end
  }.each do |code, bad|
    it "says #{code} in a sentence" do
      [project, memory]
      bad[self]
      expect(body["error"]).to include("code" => code, "message" => match(/\A[[:alpha:]“].+\.\z/m))
      expect(response.status).to be_between(400, 499)
    end
  end

  it "compares a new version only with text in it and in the format of the old one" do
    {
      "One line." => ["manual.txt", /must be in the same\s+format/],
      manual_docx([]) => ["manual.docx", /text/]
    }.each do |bytes, (name, message)|
      file = Tempfile.create(name).tap { |io| io.binmode.write(bytes) && io.flush }
      version = document.propose_version(Rack::Test::UploadedFile.new(file.path), name)
      perform_enqueued_jobs
      expect(version.reload).to have_attributes(state: "refused", message: match(message))
    end
  end

  it "takes nobody's word before the sign-in, and no more than some tries" do
    delete "/api/session"
    ask(:get, "/api/today")
    expect(body["error"]).to eq("code" => "signed-out", "message" => "Sign in first.")
    answers =
      Array.new(12) do
        ask(:post, "/api/session", { email: "x@calloway.example", password: "x" })
        body
      end
    told = answers.map { |answer| answer.dig("error", "code") }.uniq
    expect(told).to eq(%w[sign-in-wrong too-many])
  end
end
