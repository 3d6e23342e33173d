# Profiles: which checks run for a project or its client and how severe they are, checks of her own, files.
RSpec.describe "Check profiles" do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt") }
  let(:project) do
    made = make_project(user, "Press now.\n\nStop now.", name: "b.txt")
    made.update!(client: client)
    made
  end
  let(:rule) {
    { name: "Verb", source: "Press", target: "\\bPremi\\b", message: "the infinitive", level: "must-fix" }
  }

  before do
    sign_in(user)
    segment = project.segments.order(:position).first
    segment.confirm("Premi,, ora.", origin: { "kind" => "typed" }, by: user)
  end

  def place(owner = project) = "/api/#{owner.class.table_name}/#{owner.id}/check_profile"

  def keep(profile, owner = project)
    patch place(owner), params: { profile: profile }, as: :json
    body
  end

  def codes
    get "/api/projects/#{project.id}/findings"
    body["findings"].map { |one| one.values_at("code", "level") }
  end

  it "tell what there is to choose from" do
    get place
    expect(body).to include("from" => "default", "client" => "Tarnholt", "given" => {},
      "languages" => %w[en-GB it-IT])
    expect(body["checks"].find { |one| one["code"] == "misspelt" }).to include("level" => "off")
    expect(body["checks"].find { |one| one["code"] == "length-ratio" }).to include(
      "group" => "completeness", "parameters" => { "shortest" => 40, "longest" => 260 }
    )
    expect(body["checks"].map { |one| one["code"] }).to include("source-two-targets", "term-mixed")
  end

  it "hold for the client's projects, until a project has its own" do
    keep({ checks: { "mark-double": { level: "must-fix" } }, own: [rule] }, client)
    expect(codes).to eq([%w[mark-double must-fix], %w[own must-fix]])
    expect(keep({ checks: { "mark-double": { level: "off" } }, own: [] })["from"]).to eq("project")
    expect(codes).to eq([])
    delete place
    expect(body["from"]).to eq("client")
    expect(codes.size).to eq(2)
  end

  it "become the client's with one press" do
    keep({ checks: { "mark-double": { level: "off" } } })
    patch place, params: { for_client: true }, as: :json
    expect(body).to include("from" => "client",
      "given" => { "checks" => { "mark-double" => { "level" => "off" } } })
    expect(project.reload.check_profile).to be_nil
    expect(codes).to eq([])
  end

  it "switch the spelling on, with her words" do
    keep({ checks: { misspelt: { level: "look" } } })
    project.segments.first.reload.confirm("Premere xyzzy.", origin: { "kind" => "typed" }, by: user)
    expect(codes).to include(%w[misspelt look])
    project.learn_word("xyzzy", "mine")
    expect(codes).to eq([])
  end

  it "go out as a file and come in as one" do
    keep({ checks: { "mark-double": { level: "off" } }, own: [rule] })
    get place, params: { as: "file" }
    file = response.body
    expect(JSON.parse(file)["own"].first["name"]).to eq("Verb")
    delete place
    patch place, params: { file: upload(file, "checks.json") }
    expect(body["given"]).to eq(JSON.parse(file))
  end

  {
    "what is no JSON" => ["{", "profile-broken"],
    "what is no profile" => ["[]", "profile-broken"],
    "a check that there is not" => ['{"checks":{"x":{"level":"look"}}}', "profile-broken"],
    "a setting that there is not" => ['{"checks":{"end-mark":{"size":3}}}', "profile-broken"],
    "an expression that is none" => ['{"own":[{"name":"a","target":"(","message":"b"}]}', "own-broken"]
  }.each do |what, (text, code)|
    it "refuse #{what}, and change nothing" do
      patch place, params: { file: upload(text, "checks.json") }
      expect(body["error"]["code"]).to eq(code)
      expect(project.reload.check_profile).to be_nil
    end
  end

  describe "trials" do
    def try(given, **more)
      post "/api/projects/#{project.id}/check_trials",
        params: { rule: given, source: "Press it", target: "Premi qui", source_lang: "en-GB",
                  target_lang: "it-IT", **more }, as: :json
      body
    end

    it "say what a rule finds in a pair she types, and in the text of the project" do
      expect(try(rule)).to include("given_up" => false, "count" => 1)
      expect(body["findings"].first).to include("message" => "Verb: the infinitive", "target" => [[0, 5]])
      expect(body["examples"].first).to include("number" => 1, "target" => "Premi,, ora.")
      expect(try(rule, target: "Premere qui")["findings"]).to eq([])
    end

    it "name one that runs away, and one that is none" do
      slow = { name: "Slow", target: "(a|aa)+$", message: "x" }
      expect(try(slow, target: "#{"a" * 60}!")).to include("given_up" => true)
      keep({ own: [slow] })
      project.segments.last.confirm("#{"a" * 60}!", origin: { "kind" => "typed" }, by: user)
      codes
      expect(body["given_up"]).to eq(["Slow"])
      expect(try({ name: "x", target: "(", message: "y" })["error"]["code"]).to eq("own-broken")
    end
  end

  it "are previewed from a file before anything is kept, and refused where they hold no checks" do
    patch "/api/projects/#{project.id}/check_profile", as: :json,
      params: { profile: { checks: { "end-mark" => { level: "off" } } } }
    rule = { "name" => "No tabs", "target" => "\t", "message" => "a tab" }
    preview = lambda do |text|
      post "/api/projects/#{project.id}/check_profile", params: { file: upload(text, "checks.json") }
      body
    end
    found = preview.call(JSON.generate("checks" => { "word-twice" => { "level" => "must-fix" } },
      "own" => [rule]))
    expect(found["changes"]).to eq(
      "checks" => [["end-mark", { "level" => "off" }, {}], ["word-twice", {}, { "level" => "must-fix" }]],
      "added" => ["No tabs"], "removed" => [], "changed" => []
    )
    expect(CheckProfile.new(project.reload).given).to eq("checks" => { "end-mark" => { "level" => "off" } })
    ["{}", '{"name": "x"}', "[1]", "no"].each do |text|
      expect(preview.call(text)["error"]["code"]).to eq("profile-broken"), text
    end
  end
end
