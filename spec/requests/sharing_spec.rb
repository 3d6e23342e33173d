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
      "may" => "view")
    accept(share)
    get "/api/memories"
    expect(body.first).to include("name" => "Bicycles", "owner" => ines.name, "right" => "view")
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
    patch "/api/shares/#{share.id}", params: { may: "edit" }, as: :json
    as(anneke)
    patch "/api/units/#{unit.id}", params: { target: "Carica" }, as: :json
    expect(unit.reload).to have_attributes(target: "Carica", changed_by: "Anneke Vos")
    delete "/api/memories/#{memory.id}"
    expect(code).to eq("share-owner")
    get "/api/memories/#{memory.id}/shares"
    expect(code).to eq("share-owner")
    as(ines)
    { 1.day.ago.to_date.iso8601 => "in the past", "soon" => "“soon” is not a day" }.each do |day, said|
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

  # What of it a colleague with each right may do.
  def tried(item, tries)
    Share::RIGHTS.to_h do |right|
      Share.where(item: item).destroy_all
      accept(give(item, may: right))
      told = tries.transform_values do |(verb, path, params)|
        public_send(verb, path, params: params, as: :json)
        code
      end
      [right, told.reject { |_, said| said == "share-right" }.keys]
    end
  end

  it "allow with each right what is named, and all before it" do
    pairs = Array.new(20) { |i|
      Glossema::Exchange::Tmx::Pair.new(source: "Load #{i}", target: "Carica", attributes: {})
    }
    memory.take_in(pairs)
    ids = memory.units.ids
    path = "/api/memories/#{memory.id}/changes"
    expect(tried(memory, {
      "see" => [:get, "/api/memories/#{memory.id}/units"],
      "change one" => [:patch, "/api/units/#{ids.last}", { target: "x" }],
      "change many" => [:post, path, { kind: "bulk", ids: ids.last(3), set: { client: "x" } }],
      "delete one" => [:post, path, { kind: "delete", ids: [ids.pop] }],
      "delete many" => [:post, path, { kind: "delete", ids: ids.pop(2) }],
      "delete all found" => [:post, path, { kind: "delete", search: { text: "17" } }]
    }).transform_values(&:size)).to eq("view" => 1, "add" => 1, "edit" => 4, "manage" => 6)
  end

  it "allow the same of termbases" do
    terms = "/api/termbases/#{termbase.id}"
    termbase.add_pair({ "en" => "kiln", "it" => "forno" }, by: ines)
    termbase.add_pair({ "en" => "glaze", "it" => "smalto" }, by: ines)
    expect(tried(termbase, {
      "see" => [:get, "#{terms}/entries"],
      "add" => [:post, "#{terms}/entries", { sections: [{ lang: "en", terms: [{ text: "clay" }] }] }],
      "change" => [:patch, "/api/term_entries/#{termbase.entries.first.id}", { note: "x" }],
      "delete many" => [:post, "#{terms}/deletion", { ids: termbase.entries.first(2).map(&:id) }]
    }).transform_values(&:size)).to eq("view" => 1, "add" => 2, "edit" => 3, "manage" => 4)
  end

  it "tell the owner what a colleague deleted, to be taken back by the owner or who manages" do
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(source: "Load", target: "Carica", attributes: {}),
                    Glossema::Exchange::Tmx::Pair.new(source: "Turn", target: "Gira", attributes: {})])
    share = give(memory, may: "manage")
    accept(share)
    post "/api/memories/#{memory.id}/changes", params: { kind: "delete", search: {} }, as: :json
    expect(finish.state).to eq("done")
    expect(memory.units.count).to eq(0)
    as(ines)
    get "/api/memories/#{memory.id}/operations"
    expect(body.first).to include("kind" => "unit_deletion", "author" => anneke.name, "undoable" => true)
    undo(body.first["id"])
    expect(memory.units.count).to eq(2)
    post "/api/memories/#{memory.id}/changes", params: { kind: "bulk", search: {}, set: { client: "C" } },
      as: :json
    hers = finish
    as(anneke)
    share.update!(may: "edit")
    patch "/api/operations/#{hers.id}", params: { state: "undone" }, as: :json
    expect(code).to eq("share-right")
  end

  it "let nothing be deleted for want of a choice" do
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(source: "Load", target: "Carica", attributes: {})])
    as(ines)
    [{ ids: [] }, {}, { ids: nil }].each do |chosen|
      post "/api/memories/#{memory.id}/changes", params: { kind: "delete", **chosen }, as: :json
      expect(code).to eq("nothing-chosen")
    end
    expect(memory.units.count).to eq(1)
  end

  it "give what one confirms to the other, with the author’s name, and tell of it" do
    share = give(memory, may: "edit")
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
    accept(give(memory, may: "edit"))
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
    accept(give(memory, may: "edit"))
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
    expect(body.first).to include("name" => "Parts", "right" => "view")
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
    share = give(memory, may: "edit")
    accept(share)
    anneke.destroy!
    expect(memory.shares.reload).to eq([])
  end
end
