# Spelling through the API: faults of a text, suggestions, and words that are hers, a client's or a project's.
RSpec.describe "Spelling" do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt") }
  let(:project) { make_project(user, "Check.", name: "a.txt").tap { |made| made.update!(client: client) } }

  before { sign_in(user) }

  def faults(text, of: project)
    post "/api/projects/#{of.id}/spelling", params: { text: text }, as: :json
    body["faults"].map { |one| one["word"] }
  end

  def learn(word, where, to: project)
    patch "/api/projects/#{to.id}/spelling", params: { word: word, where: where }, as: :json
  end

  it "finds faults in the target language with their places, and suggests" do
    expect(faults("La pastilia del freno")).to eq(["pastilia"])
    expect(body["faults"].first).to include("from" => 3, "to" => 11)
    get "/api/projects/#{project.id}/spelling", params: { word: "pastilia" }
    expect(body["suggestions"]).to include("pastiglia")
  end

  it "knows words that were added where they were added, and forgets them again" do
    other = make_project(user, "Check.", name: "b.txt")
    learn("Tarnholt", "mine")
    learn("reggiborsa", "client")
    learn("wrennino", "project")
    text = "Tarnholt reggiborsa wrennino"
    expect(faults(text)).to eq([])
    expect(faults(text, of: other)).to eq(%w[reggiborsa wrennino])
    delete "/api/projects/#{project.id}/spelling", params: { word: "wrennino" }, as: :json
    expect(faults(text)).to eq(["wrennino"])
    learn(" ", "mine")
    expect(body["error"]["code"]).to eq("not-valid")
  end

  it "leaves alone what is never translated and what stands in a termbase" do
    project.update!(never_translated: ["Wrennin Qx"])
    termbase = user.termbases.create!(name: "Terms")
    termbase.add_pair({ "en" => "kerb", "it" => "cordolino" }, by: user)
    project.attach_termbases([{ termbase_id: termbase.id }])
    expect(faults("Wrennin Qx cordolino Qxx")).to eq(["Qxx"])
  end

  it "says where there is no dictionary" do
    project.update_columns(target_lang: "eo")
    post "/api/projects/#{project.id}/spelling", params: { text: "qwrt" }, as: :json
    expect(body).to eq("there" => false, "faults" => [])
  end
end
