# Conditions of the filter that only the server can tell, and what a person prefers in Translate.
RSpec.describe "SegmentFilter" do
  let(:user) { make_user }
  let(:project) { make_project(user, "Check 12 bolts.\n\nOil the chain.\n\nFit 3 racks.", name: "b.txt") }
  let(:segments) { project.segments.order(:position).to_a }

  before { sign_in(user) }

  def shown(**asked)
    get "/api/projects/#{project.id}/segment_filter", params: asked
    body["segments"]&.map { |id| segments.index { |segment| segment.id == id } + 1 }
  end

  it "finds by regular expression in source or target" do
    segments[1].keep_draft("Oliare 7 catene.", origin: { "kind" => "typed" }, by: user)
    expect(shown(expression: "\\d+")).to eq([1, 2, 3])
    expect(shown(expression: "\\d+", side: "source")).to eq([1, 3])
    expect(shown(expression: "\\d+", side: "target")).to eq([2])
    expect(shown(expression: "CHECK")).to eq([1])
    expect(shown(expression: "CHECK", cased: true)).to eq([])
  end

  it "refuses an expression that does not parse, and gives up one that runs away" do
    shown(expression: "(")
    expect(body["error"]["code"]).to eq("find-pattern")
    segments[0].update!(source: "#{"a" * 40}!")
    shown(expression: "(a|aa)+$")
    expect(body["error"]["message"]).to include("(a|aa)+$")
  end

  it "finds what somebody wrote, and what was changed of late" do
    other = make_user("Anneke Vos")
    segments[0].keep_draft("a", origin: { "kind" => "typed" }, by: user)
    segments[2].keep_draft("c", origin: { "kind" => "typed" }, by: other)
    segments[0].versions.update_all(updated_at: 3.days.ago)
    expect(shown(by: other.name)).to eq([3])
    expect(shown(since: "day")).to eq([3])
    expect(shown(since: "week", by: user.name)).to eq([1])
    expect(shown).to be_nil
    expect(body["authors"]).to eq([other.name, user.name])
  end

  it "finds what has a term of the termbases in it" do
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id }])
    expect(shown(termed: true)).to eq([])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catena" }, by: user)
    expect(shown(termed: true)).to eq([2])
    expect(shown(termed: true, expression: "bolt")).to eq([])
  end

  describe "preferences" do
    def prefer(**given)
      patch "/api/settings", params: { preferences: given }, as: :json
      body["error"]&.fetch("code")
    end

    it "keep conditions by name, how the text is set, and keys" do
      filters = [{ "name" => "Figures", "conditions" => { "text" => "\\d" } }]
      expect(prefer(filters: filters, reading: { size: 1.15, beside: true },
        keys: { finish: "Ctrl+S" })).to be_nil
      expect(user.reload.preferences).to include("filters" => filters,
        "reading" => { "size" => 1.15, "beside" => true }, "keys" => { "finish" => "Ctrl+S" })
    end

    {
      { filters: [{ name: "", conditions: {} }] } => "preference-wrong",
      { reading: { size: 7 } } => "preference-wrong",
      { reading: { colour: "red" } } => "preference-wrong",
      { keys: { finish: "S" } } => "key-wrong",
      { keys: { finish: "Shift+Enter" } } => "key-wrong",
      { keys: { finish: "Ctrl+Ctrl" } } => "key-wrong",
      { keys: { finish: "Ctrl+W" } } => "key-taken",
      { keys: { finish: "Alt+S", spelling: "Alt+S" } } => "key-clash",
      { keys: { finish: "Ctrl+Alt+3" } } => "key-numbered",
      { keys: ["Alt+S"] } => "preference-wrong"
    }.each do |given, code|
      it "refuse #{given}, and keep nothing of it" do
        expect(prefer(**given, floor: 60)).to eq(code)
        expect(user.reload.preferences).to eq({})
      end
    end
  end
end
