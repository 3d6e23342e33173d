# Find and replace: every change seen first, taken one by one, taken back in one step.
RSpec.describe "Replacing" do
  let(:user) { make_user }
  let(:project) { make_project(user, "Check the pad.\n\nClean the pad.\n\nStop.", name: "b.txt") }
  let(:segments) { project.segments.order(:position).to_a }

  before do
    sign_in(user)
    segments[0].confirm("Controllare la pastiglia.", origin: { "kind" => "typed" }, by: user)
    segments[1].keep_draft("Pulire la pastiglia.", origin: { "kind" => "typed" }, by: user)
  end

  def look(**asked)
    get "/api/projects/#{project.id}/replacements", params: asked
    body
  end

  def write(**asked)
    post "/api/projects/#{project.id}/replacements", params: asked, as: :json
    body
  end

  def told = project.segments.order(:position).map { |one| [one.target, one.state] }

  it "shows every change before it happens, takes some, and is taken back in one step" do
    found = look(find: "pastiglia", with: "ganascia")
    expect(found["count"]).to eq(2)
    expect(found["places"].first).to include("id" => segments[0].id, "before" => "Controllare la pastiglia.",
      "after" => "Controllare la ganascia.", "spans" => [[15, 23]])
    expect(told.map(&:first).first(2)).to eq(["Controllare la pastiglia.", "Pulire la pastiglia."])
    write(find: "pastiglia", with: "ganascia", take: segments.first(2).map(&:id), confirmed: "stay")
    expect(told.first(2)).to eq(
      [["Controllare la ganascia.", "translated"], ["Pulire la ganascia.", "draft"]]
    )
    segments[1].reload.keep_draft("Pulire.", origin: { "kind" => "typed" }, by: user)
    get "/api/projects/#{project.id}/operations"
    id = body.first["id"]
    patch "/api/operations/#{id}", params: { state: "nonsense" }, as: :json
    expect(body.dig("error", "code")).to eq("operation-state")
    undo(id)
    expect(told.first(2)).to eq([["Controllare la pastiglia.", "translated"], ["Pulire.", "draft"]])
  end

  it "leaves what it empties neither confirmed nor in a memory" do
    memory = make_memory(user, [])
    write(find: "Controllare la pastiglia.", with: "", take: [segments[0].id], confirmed: "stay")
    expect(told[0]).to eq(["", "untouched"])
    expect { memory.learn(segments[0].reload, by: user) }.not_to(change { memory.units.count })
  end

  it "brings back drafts that were written in the same minute" do
    write(find: "pastiglia", with: "ganascia", take: [segments[1].id])
    write(find: "ganascia", with: "x", take: [segments[1].id])
    project.operations.where(kind: "replacement").sort_by(&:id).reverse.each { |operation|
      operation.undo(by: user)
    }
    expect(told[1]).to eq(["Pulire la pastiglia.", "draft"])
  end

  it "leaves those not taken, makes drafts of confirmed ones if she likes, and looks in the source" do
    write(find: "PASTIGLIA", with: "x", take: [segments[0].id], confirmed: "draft")
    expect(told.first(2)).to eq([["Controllare la x.", "draft"], ["Pulire la pastiglia.", "draft"]])
    expect(look(find: "pad", side: "source")["places"].pluck("id")).to eq(segments.first(2).map(&:id))
    expect(look(find: "pastiglia", segment_ids: [segments[2].id])["count"]).to eq(0)
    expect(look(find: "(.)\\1", with: "\\1", regex: true, cased: true)["count"]).to eq(1)
  end

  it "says what cannot be looked for, and changes nothing" do
    write(find: "(", with: "x", regex: true, take: segments.map(&:id))
    expect(body["error"]["code"]).to eq("find-pattern")
    segments[2].keep_draft("#{"a" * 40}!", origin: { "kind" => "typed" }, by: user)
    write(find: "(a+)+$", with: "x", regex: true, take: segments.map(&:id))
    expect(body["error"]["message"]).to include("takes too long")
    expect(look(find: "")["error"]["message"]).to eq("Enter a text to find.")
    expect(project.operations.where(kind: "replacement").count).to eq(0)
  end

  it "says so where an export ended without its file" do
    Operations::ArchiveExport.create!(subject: project, user: user, state: "done", finished_at: Time.current)
    get "/api/projects/#{project.id}/archive"
    expect(body.dig("error", "code")).to eq("export-failed")
  end
end
