# Memories and termbases given to colleagues: to read, to write, until a day; taken back; invitations.
RSpec.describe "Sharing" do
  let(:ines) { make_user }
  let(:anneke) { User.create!(name: "Anneke Vos", email: "anneke@vos.example", password: "cargo-bicycle") }
  let(:memory) { ines.memories.create!(name: "Bicycles", source_lang: "en-GB", target_lang: "it-IT") }
  let(:termbase) { ines.termbases.create!(name: "Parts") }

  def as(user)
    delete "/api/session"
    sign_in(user)
  end

  def give(item, email: anneke.email, **more)
    as(ines)
    post "/api/#{item.class.name.underscore.pluralize}/#{item.id}/shares", params: { email: email, **more },
      as: :json
    Share.find_by(item: item, email: email)
  end

  def accept(share)
    as(share.user)
    patch "/api/shares/#{share.id}", params: { state: "accepted" }, as: :json
  end

  def code = body.dig("error", "code")

  before { anneke }

  it "are offered, found once they are accepted, and gone at once when taken back" do
    share = give(memory)
    as(anneke)
    get "/api/memories"
    expect(body).to eq([])
    get "/api/shares"
    expect(body.first).to include("kind" => "memory", "item" => "Bicycles", "owner" => ines.name,
      "may" => "read")
    accept(share)
    get "/api/memories"
    expect(body.first).to include("name" => "Bicycles", "owner" => ines.name, "right" => "read")
    project = make_project(anneke, "<p>x</p>", name: "a.html")
    project.attach([{ "memory_id" => memory.id, "learns" => "confirm" }])
    expect(project.attachments.usable.map { |row| [row.memory_id, row.learns, row.read_only] })
      .to eq([[memory.id, "never", true]])
    as(ines)
    delete "/api/shares/#{share.id}"
    expect(project.attachments.usable).to eq([])
    as(anneke)
    get "/api/memories/#{memory.id}"
    expect(response).to have_http_status(:not_found)
  end

  it "let writers write and readers read, and only owners do the rest" do
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(source: "Load", target: "Caricare", attributes: {})])
    unit = memory.units.first
    share = give(memory)
    accept(share)
    get "/api/memories/#{memory.id}/units"
    expect(body["count"]).to eq(1)
    patch "/api/units/#{unit.id}", params: { target: "Carica" }, as: :json
    expect(code).to eq("share-right")
    as(ines)
    patch "/api/shares/#{share.id}", params: { may: "write" }, as: :json
    as(anneke)
    patch "/api/units/#{unit.id}", params: { target: "Carica" }, as: :json
    expect(unit.reload).to have_attributes(target: "Carica", changed_by: "Anneke Vos")
    delete "/api/memories/#{memory.id}"
    expect(code).to eq("share-owner")
    get "/api/memories/#{memory.id}/shares"
    expect(code).to eq("share-owner")
    as(ines)
    { 1.day.ago.to_date.iso8601 => "over already", "soon" => "“soon” is not a day" }.each do |day, said|
      patch "/api/shares/#{share.id}", params: { until: day }, as: :json
      expect(body["error"]["message"]).to include(said)
    end
    share.update_columns(until_on: 1.day.ago)
    as(anneke)
    patch "/api/units/#{unit.id}", params: { target: "Va" }, as: :json
    expect(code).to eq("share-right")
    get "/api/memories/#{memory.id}/units"
    expect(response).to have_http_status(:ok)
  end

  it "give what one confirms to the other, with the author’s name, and tell of it" do
    share = give(memory, may: "write")
    accept(share)
    hers = make_project(anneke, "<p>Load the box first.</p>", name: "a.html",
      memories: [{ "memory_id" => memory.id, "learns" => "confirm" }])
    mine = make_project(ines, "<p>Load the box first.</p>", name: "b.html",
      memories: [{ "memory_id" => memory.id, "learns" => "confirm" }])
    told = []
    allow(ProjectChannel).to receive(:broadcast_to) { |project, news| told << [project.id, news[:event]] }
    hers.segments.first.confirm("Caricare prima la cassa.", origin: { "kind" => "typed" }, by: anneke)
    expect(told).to include([mine.id, "learned"])
    as(ines)
    get "/api/segments/#{mine.segments.first.id}/proposals"
    expect(body["proposals"].first).to include("target" => "Caricare prima la cassa.",
      "author" => "Anneke Vos")
    share.reload.destroy!
    expect(hers.reload.attachments.usable.pluck(:memory_id)).not_to include(memory.id)
    expect(memory.units.first.author).to eq("Anneke Vos")
  end

  it "let both write one unit: the later wording stands, the earlier stays in its history with its author" do
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(source: "Load", target: "Caricare", attributes: {})])
    unit = memory.units.first
    accept(give(memory, may: "write"))
    [[ines, "Carica"], [anneke, "Caricate"]].each do |user, target|
      as(user)
      patch "/api/units/#{unit.id}", params: { target: target }, as: :json
    end
    expect(unit.reload).to have_attributes(target: "Caricate", changed_by: "Anneke Vos")
    get "/api/units/#{unit.id}"
    expect(body["versions"].map { |one| one.values_at("target", "author") })
      .to eq([["Caricare", nil], ["Carica", ines.name]])
  end

  it "keep what one confirmed when the other, who had confirmed the same, changes her mind" do
    accept(give(memory, may: "write"))
    hers, mine = [anneke, ines].map do |user|
      make_project(user, "<p>Load the box first.</p>", name: "a.html",
        memories: [{ "memory_id" => memory.id, "learns" => "confirm" }]).segments.first
    end
    hers.confirm("Caricare la cassa.", origin: { "kind" => "typed" }, by: anneke)
    mine.confirm("Caricare la cassa.", origin: { "kind" => "typed" }, by: ines)
    hers.confirm("Prima la cassa.", origin: { "kind" => "typed" }, by: anneke)
    expect(memory.units.order(:target).pluck(:target, :segment_id))
      .to eq([["Caricare la cassa.", mine.id], ["Prima la cassa.", hers.id]])
  end

  it "hold for termbases" do
    share = give(termbase)
    accept(share)
    get "/api/termbases"
    expect(body.first).to include("name" => "Parts", "right" => "read")
    post "/api/termbases/#{termbase.id}/entries", params: { terms: { en: ["kiln"] } }, as: :json
    expect(code).to eq("share-right")
    patch "/api/termbases/#{termbase.id}", params: { name: "Mine" }, as: :json
    expect(code).to eq("share-right").or eq("share-owner")
    project = make_project(anneke, "<p>x</p>", name: "a.html")
    project.attach_termbases([{ "termbase_id" => termbase.id }])
    expect(project.attached_termbases.adding).to eq([])
    expect(project.attached_termbases.usable.size).to eq(1)
  end

  it "invite who has no account, by a link that makes one and is good for two weeks" do
    share = give(memory, email: "matteo@ferrante.example")
    delete "/api/session"
    get "/api/invitations/#{share.token}"
    expect(body).to eq("email" => "matteo@ferrante.example", "item" => "Bicycles", "owner" => ines.name)
    share.update!(created_at: 15.days.ago)
    get "/api/invitations/#{share.token}"
    expect(code).to eq("invitation-gone")
    share.update!(created_at: 1.day.ago)
    matteo = User.create!(name: "Matteo Ferrante", email: "matteo@ferrante.example",
      password: "cargo-bicycle")
    expect(share.reload).to have_attributes(user: matteo, state: "offered")
    accept(share)
    get "/api/memories"
    expect(body.pluck("name")).to eq(["Bicycles"])
    get "/api/invitations/#{share.token}"
    expect(code).to eq("invitation-gone")
  end

  it "refuse oneself, twice the same, a right there is none of, and strangers" do
    give(memory)
    expect(response).to have_http_status(:created)
    codes = [{ email: anneke.email }, { email: ines.email }, { email: "x@y.example", may: "own" },
             { email: "nobody" }]
      .map do |given|
        post "/api/memories/#{memory.id}/shares", params: given, as: :json
        code
      end
    expect(codes).to eq(%w[share-again share-self not-valid not-valid])
    stranger = User.create!(name: "X", email: "x@x.example", password: "cargo-bicycle")
    as(stranger)
    patch "/api/shares/#{Share.first.id}", params: { state: "accepted" }, as: :json
    expect(response).to have_http_status(:not_found)
  end

  it "go with the account of the colleague, who leaves her name" do
    share = give(memory, may: "write")
    accept(share)
    anneke.destroy!
    expect(memory.shares.reload).to eq([])
  end
end
