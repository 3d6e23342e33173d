# All projects: found by state, client, languages, year and any text, summed up, finished, reopened, deleted
# and restored.
RSpec.describe "All projects" do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt Cargo Cycles") }
  let!(:manual) { work("Oil the chain weekly.", "Owner’s manual", client: client, due_at: 3.days.from_now) }
  let!(:guide) { work("Heat the kiln.", "Kiln guide", due_at: 1.day.from_now) }

  before { sign_in(user) }

  def work(text, name, **fields)
    make_project(user, text, name: "#{name}.txt").tap { |made|
      made.update!(name: name, client: nil, **fields)
    }
  end

  def list(**params)
    get "/api/projects", params: params
    body
  end

  def names(**params) = list(**params)["projects"].map { |row| row["name"] }

  def finish(project, finished: true)
    patch "/api/projects/#{project.id}", params: { finished: finished }, as: :json
  end

  it "are in progress, finished, reopened, thrown away and restored" do
    expect(names).to eq(["Kiln guide", "Owner’s manual"])
    expect(body).to include("state" => "progress", "all" => 2)
    expect(body["counts"]).to include("progress" => 2, "finished" => 0, "trash" => 0)
    finish(guide)
    expect(body["finished_at"]).not_to be_nil
    expect([names, names(state: "finished")]).to eq([["Owner’s manual"], ["Kiln guide"]])
    get "/api/today"
    expect(body["projects"].map { |row| row["name"] }).to eq(["Owner’s manual"])
    finish(guide, finished: false)
    expect(names.size).to eq(2)
    delete "/api/projects/#{guide.id}"
    expect(names(state: "trash")).to eq(["Kiln guide"])
    patch "/api/trash_items/project-#{body["projects"].sole["trash_item"]}", as: :json
    expect(names.size).to eq(2)
  end

  it "are delivered when nothing was changed since" do
    guide.segments.each { |one| one.confirm("Scaldare il forno.", origin: { "kind" => "typed" }, by: user) }
    expect(list["projects"].map { |row| row["step"] }).to eq(%w[deliver translate])
    deliver(guide)
    expect([names, names(state: "delivered")]).to eq([["Owner’s manual"], ["Kiln guide"]])
    guide.segments.first.reload.confirm("Scalda il forno.", origin: { "kind" => "typed" }, by: user)
    expect(names).to eq(["Kiln guide", "Owner’s manual"])
  end

  it "are searched by name, client, file and text, and filtered" do
    guide.segments.first.confirm("Scaldare il forno al 50 %.", origin: { "kind" => "typed" }, by: user)
    { "owner" => manual, "TARNHOLT" => manual, "guide.txt" => guide, "the kiln" => guide, "al 50 %" => guide,
      "chain" => manual }.each { |text, project| expect(names(text: text)).to eq([project.name]), text }
    expect([names(text: "%"), names(text: "nowhere")]).to eq([[], []])
    expect(names(client_id: client.id)).to eq(["Owner’s manual"])
    expect(names(pair: "en-GB>it-IT").size).to eq(2)
    expect(names(pair: "en-GB>nl-NL")).to eq([])
    expect(names(year: 1999)).to eq([])
    expect(names(order: "name")).to eq(["Kiln guide", "Owner’s manual"])
    expect(list["choices"]).to include("clients" => [{ "id" => client.id, "name" => client.name }],
      "pairs" => ["en-GB>it-IT"])
    expect(names(state: "nonsense", order: "nonsense").size).to eq(2)
  end

  it "are summed up, and leave as a workbook" do
    expect(list["total"]).to eq("projects" => 2, "words" => 7, "worth" => [])
    get "/api/projects", params: { as: "xlsx" }
    expect(response.headers["Content-Disposition"]).to include("Projects.xlsx")
    expect(response.body.b).to start_with("PK".b)
  end

  it "are one's own, and a brief cannot be finished" do
    other = make_user
    make_project(other, "Somebody else's.", name: "other.txt")
    expect(list["all"]).to eq(2)
    guide.update!(begun_at: nil)
    finish(guide)
    expect(body["error"]["code"]).to eq("not-begun")
    expect(names(state: "new")).to eq(["Kiln guide"])
  end
end
