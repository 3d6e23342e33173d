# Termbases through the API: entries added, searched, changed and undone; terms found in segments; files in
# and out.
RSpec.describe "Termbases" do
  let(:user) { make_user }
  let(:termbase) { user.termbases.create!(name: "Tarnholt, terms") }
  let(:project) do
    make_project(user, "Check the brake pads. At 25 km/h use both brakes.", name: "b.txt").tap do |made|
      made.attach_termbases([{ termbase_id: termbase.id }])
    end
  end

  before { sign_in(user) }

  def entry(terms, **concept)
    { **concept, sections: terms.map { |lang, list|
      { lang: lang, terms: Array(list).map { |text|
        { text: text }
      } }
    } }
  end

  def add(terms, **concept)
    post "/api/termbases/#{termbase.id}/entries", params: entry(terms, **concept), as: :json
    body
  end

  def list(**asked)
    get "/api/termbases/#{termbase.id}/entries", params: asked
    body["entries"].map { |one| one["sections"].first["terms"].first["text"] }
  end

  it "adds, searches in any language and inexactly, and narrows" do
    add({ "en" => "brake pad", "it" => "pastiglia freno" }, subject: "Brakes")
    add({ "en" => "rim", "it" => "cerchio" }, subject: "Wheels")
    add({ "en" => "rim" })
    expect(list(text: "pastigl")).to eq(["brake pad"])
    expect(list(text: "brakepads brak pads".split.last(2).join(" "))).to eq([])
    expect(list(text: "brakes pads")).to eq(["brake pad"])
    expect(list(text: "rim", lang: "it")).to eq([])
    expect(list(subject: "Wheels")).to eq(["rim"])
    expect(list(look: "twice").size).to eq(2)
    expect(list(look: "alone")).to eq(["rim"])
    get "/api/termbases/#{termbase.id}"
    expect(body["facets"]).to include("subjects" => { "Brakes" => 1, "Wheels" => 1 },
      "looks" => { "twice" => 2, "alone" => 1 })
    expect(body).to include("entries" => 3, "languages" => %w[en it])
  end

  it "takes over what is never to be translated, as words or patterns, and refuses a pattern that is none" do
    never = ["brake pads", "/\\d+ km\\/h/"]
    patch "/api/projects/#{project.id}", params: { never_translated: never }, as: :json
    get "/api/segments/#{project.segments.first.id}/terms"
    expect(body["carried"].map { |one| one.values_at("kind", "target") }).to eq([["kept", "brake pads"]])
    get "/api/segments/#{project.segments.last.id}/terms"
    expect(body["carried"].map { |one| one.values_at("kind", "target") }).to eq([["kept", "25 km/h"]])
    patch "/api/projects/#{project.id}", params: { never_translated: ["/(/"] }, as: :json
    expect(body["error"]).to include("code" => "list-pattern",
      "message" => start_with("“/(/” is not a valid expression"))
    client = user.clients.create!(name: "Tarnholt")
    patch "/api/clients/#{client.id}", params: { never_used: ["/.*/"] }, as: :json
    expect(body["error"]["message"]).to eq("“/.*/” matches everywhere. Enter a more specific expression.")
    expect([project.reload.never_translated, client.reload.never_used]).to eq([never, []])
  end

  it "tells where an entry stands in a project and how it was translated there, and how it was before" do
    made = add({ "en" => "brake", "it" => %w[freno freni] })
    first, second = project.segments.order(:position).to_a
    first.confirm("Controllare le pastiglie del freno.", origin: { "kind" => "typed" }, by: user)
    get "/api/projects/#{project.id}/term_places", params: { entry_id: made["id"] }
    expect(body).to eq("segments" => [first.id, second.id],
      "renderings" => [{ "term" => "freno", "segments" => [first.id] }])
    patch "/api/term_entries/#{made["id"]}", params: entry({ "en" => "brake", "it" => "freno" }), as: :json
    get "/api/term_entries/#{made["id"]}/versions"
    before = body.sole
    expect(before).to include("kind" => "term_edit", "author" => user.name)
    expect(before["sections"].last["terms"].pluck("text")).to eq(%w[freno freni])
  end

  it "says the same of many entries at once, as one act, and shows the picture of a concept" do
    ids = %w[rim hub].map { |text| add({ "en" => text, "it" => "#{text}o" }, subject: "Old")["id"] }
    post "/api/termbases/#{termbase.id}/edits", params: { ids: ids, subject: "Wheels" }, as: :json
    expect(list(subject: "Wheels").sort).to eq(%w[hub rim])
    forbidden = { ids: ids, lang: "it", status: "forbidden" }
    post "/api/termbases/#{termbase.id}/edits", params: forbidden, as: :json
    expect(termbase.entries.map { |one| one.entry.in("it").first.terms.first.usable? }).to eq([false, false])
    termbase.operations.order(:id).last(2).reverse.each(&:undo)
    expect(list(subject: "Old").sort).to eq(%w[hub rim])
    post "/api/termbases/#{termbase.id}/edits", params: { ids: ids, lang: "it", status: "nice" }, as: :json
    expect(body["error"]["code"]).to eq("status-unknown")
    picture = Rails.root.join("docs/screenshots/today.png").binread
    put "/api/term_entries/#{ids[0]}/picture", params: { file: upload(picture, "rim.png") }
    expect(body["has_image"]).to be(true)
    get "/api/term_entries/#{ids[0]}/picture"
    expect(response.body.b).to eq(picture)
    put "/api/term_entries/#{ids[0]}/picture", params: { file: upload("no picture", "rim.png") }
    expect(body["error"]["code"]).to eq("picture-wrong")
    delete "/api/term_entries/#{ids[0]}/picture"
    expect(body["has_image"]).to be(false)
  end

  it "changes what is said and keeps the rest, and undoes each act" do
    made = add({ "en" => "brake pad", "it" => "pastiglia" }, definition: "A part.")
    record = TermEntry.find(made["id"])
    record.update!(data: record.data.deep_merge("extras" => [{ "xml" => "<ref/>" }]))
    patch "/api/term_entries/#{made["id"]}", params: entry({ "en" => "brake pad", "it" => "pattino" }),
      as: :json
    expect(body["sections"].last["terms"].first["text"]).to eq("pattino")
    expect(record.reload.data).to include("definition" => "A part.", "extras" => [{ "xml" => "<ref/>" }])
    post "/api/termbases/#{termbase.id}/deletion", params: { ids: [made["id"]] }, as: :json
    expect(list).to eq([])
    get "/api/termbases/#{termbase.id}/operations"
    expect(body.map { |act| act["kind"] }).to eq(%w[term_deletion term_edit term_addition])
    body.first(2).each { |row| undo(row["id"]) }
    expect(list(text: "pastiglia")).to eq(["brake pad"])
  end

  it "finds terms in a segment at once after they were added, and in the case of the place" do
    segment = project.segments.order(:position).first
    get "/api/segments/#{segment.id}/terms"
    expect(body["terms"]).to eq([])
    add({ "en" => "brake pad", "it" => %w[pastiglia pattino] })
    add({ "en" => "check", "it" => "controllare" })
    get "/api/segments/#{segment.id}/terms"
    found = body["terms"].map { |one| [one["term"], one["targets"].map { |target| target["at_start"] }] }
    expect(found).to eq([["check", ["Controllare"]], ["brake pad", %w[Pastiglia Pattino]]])
    get "/api/segments/#{project.segments.order(:position).last.id}/terms"
    expect(body["carried"].map { |one| one["target"] }).to eq(["25 km/h"])
  end

  describe "a pair added on the way" do
    def pair(source, target, **more)
      post "/api/projects/#{project.id}/terms", params: { source: source, target: target, **more }, as: :json
      body["added"]&.first
    end

    it "makes an entry, joins one that is there, and says when both are" do
      segment = project.segments.order(:position).first
      made = pair("Check", "Controllare", segment_id: segment.id, around: "Controllare le pastiglie.")
      expect(made["made"]).to eq("new")
      expect(made["entry"]["sections"].map { |one| one["terms"].first["text"] }).to eq(%w[check controllare])
      expect(pair("check", "verificare")["made"]).to eq("joined")
      expect(pair("Check", "verificare")["made"]).to eq("there")
      expect(termbase.entries.there.map { |one|
        one.entry.terms.map(&:text)
      }).to eq([%w[check controllare verificare]])
    end

    it "shows what it may be the same as before it is made" do
      pair("brake pad", "pastiglia")
      asked = pair("brake pads", "ganascia")
      expect([asked["made"], asked["likely"].size, termbase.entries.count]).to eq(["likely", 1, 1])
      expect(pair("brake pads", "ganascia", anyway: true)["made"]).to eq("new")
    end

    it "goes into all termbases that take new terms, or into the one of a number" do
      other = user.termbases.create!(name: "General")
      project.attach_termbases([{ termbase_id: termbase.id }, { termbase_id: other.id, adds: false }])
      pair("rim", "cerchio")
      pair("hub", "mozzo", place: 2)
      expect([termbase, other].map { |one| one.entries.there.count }).to eq([1, 1])
    end

    it "never goes into one that is read only here, and never into another in its stead" do
      other = user.termbases.create!(name: "General")
      project.attach_termbases([{ termbase_id: termbase.id, read_only: true }, { termbase_id: other.id }])
      pair("rim", "cerchio")
      expect([termbase, other].map { |one| one.entries.there.count }).to eq([0, 1])
      pair("hub", "mozzo", place: 1)
      expect(body["error"]).to include("code" => "termbase-read-only",
        "message" => "“#{termbase.name}” is read-only in this project. You can change this in Brief.")
      expect([termbase, other].map { |one| one.entries.there.count }).to eq([0, 1])
    end

    it "refuses what is not marked, and a project without a termbase" do
      pair("rim", " ")
      expect(body["error"]["code"]).to eq("term-missing")
      project.attach_termbases([])
      pair("rim", "cerchio")
      expect(body["error"]["code"]).to eq("no-termbase")
    end
  end

  it "takes files in and gives them out, merged as asked, undone in one step" do
    csv = "id,en,it,definition\n1,rim,cerchio,Ring\n2,hub,mozzo,\n3,,,x\n"
    post "/api/termbases/#{termbase.id}/table", params: { file: upload(csv, "t.csv") }
    expect(body["columns"].map { |one| one["role"] }).to eq(%w[id term:en term:it definition])
    2.times { post "/api/termbases/#{termbase.id}/exchange", params: { file: upload(csv, "t.csv") } }
    expect(body["result"]).to include("added" => 0, "same" => 2,
      "faults" => [{ "line" => 4, "message" => "there is no term in this row" }])
    post "/api/termbases/#{termbase.id}/exchange",
      params: { file: upload("en,it\nrim,cerchione\n", "u.csv"), way: "term" }
    expect(body["result"]).to include("merged" => 1)
    fetch("/api/termbases/#{termbase.id}/exchange", as: "tbx")
    tbx = response.body
    copy = user.termbases.create!(name: "Copy")
    post "/api/termbases/#{copy.id}/exchange", params: { file: upload(tbx, "t.tbx") }
    terms = copy.entries.map { |one| one.entry.terms.map(&:text) }
    expect(terms).to eq([%w[rim cerchio cerchione], %w[hub mozzo]])
    %w[csv tsv xlsx].each do |form|
      fetch("/api/termbases/#{termbase.id}/exchange", as: form)
      other = user.termbases.create!(name: "As #{form}")
      post "/api/termbases/#{other.id}/exchange", params: { file: upload(response.body, "t.#{form}") }
      expect(other.entries.map { |one| one.entry.terms.map(&:text) }).to eq(terms)
    end
    undo(copy.operations.last)
    expect(copy.entries.there.count).to eq(0)
  end

  it "takes a large file in by steps, goes on where it was, and is taken back whole" do
    rows = Array.new(4_000) { |index| "#{index},term number #{index},termine numero #{index}" }
    csv = ->(count) { ["id,en,it", *rows.first(count)].join("\n") }
    # The server went down after some steps: what was read so far is in, the rest is not.
    post "/api/termbases/#{termbase.id}/exchange", params: { file: upload(csv[1500], "large.csv") }
    expect(finish).to have_attributes(state: "done", result: include("read" => 1500))
    import = Operations::TermImport.last
    import.files.attach(io: StringIO.new(csv[4_000]), filename: "large.csv")
    import.files.first.purge
    import.update!(state: "queued", input: import.input.merge("bytes" => 500_000))
    perform_enqueued_jobs { Operation.wake }
    get "/api/operations/#{import.id}"
    expect(body).to include("state" => "done", "result" => include("count" => 4_000, "added" => 4_000))
    expect([termbase.entries.there.count, Term.where(termbase_id: termbase.id).count]).to eq([4_000, 8_000])
    stub_const("Operation::ChildProcess::MANY", 100_000)
    undo(import)
    expect([termbase.entries.there.count, Term.where(termbase_id: termbase.id).count]).to eq([0, 0])
    post "/api/termbases/#{termbase.id}/exchange", params: { file: upload(csv[4_000], "large.csv") }
    expect(body).to include("state" => "queued")
    patch "/api/operations/#{body["id"]}", params: { state: "cancelled" }, as: :json
    expect(finish.state).to eq("cancelled")
    expect(termbase.entries.there.count).to eq(0)
  end

  it "joins entries of a TBX that have the same id, and says so" do
    concept = lambda do |text|
      terms = "<langSec xml:lang='en'><termSec><term>#{text}</term></termSec></langSec>"
      "<conceptEntry id='c1'>#{terms}</conceptEntry>"
    end
    header = "<tbxHeader><fileDesc><sourceDesc><p>x</p></sourceDesc></fileDesc></tbxHeader>"
    entries = concept["rim"] + concept["wheel rim"]
    tbx = "<tbx type='TBX-Core' style='dca' xml:lang='en' xmlns='urn:iso:std:iso:30042:ed-2'>" \
      "#{header}<text><body>#{entries}</body></text></tbx>"
    post "/api/termbases/#{termbase.id}/exchange", params: { file: upload(tbx, "t.tbx") }
    expect(body["result"]["faults"].pluck("message")).to eq(
      ["The ID “c1” occurs more than once. Its entries were merged."]
    )
    expect(termbase.entries.sole.entry.terms.map(&:text)).to eq(["rim", "wheel rim"])
  end

  it "writes nothing of a file that cannot be read" do
    post "/api/termbases/#{termbase.id}/exchange", params: { file: upload("<html/>", "t.tbx") }
    expect(body["error"]["code"]).to eq("not-tbx")
    expect([termbase.operations.count, termbase.entries.count]).to eq([0, 0])
  end

  it "is proposed as in the client's earlier work, put away and brought back" do
    client = user.clients.create!(name: "Tarnholt", termbases: [{ termbase_id: termbase.id, adds: true }])
    brief = user.projects.create!(client: client, source_lang: "en-GB", target_lang: "it-IT")
    brief.propose
    expect(brief.attached_termbases.map(&:termbase)).to eq([termbase])
    delete "/api/termbases/#{termbase.id}"
    expect(brief.reload.attached_termbases.usable).to be_empty
    patch "/api/trash_items/termbase-#{termbase.id}"
    expect(brief.reload.attached_termbases.usable.size).to eq(1)
  end

  it "takes new terms into the languages it has, without a region where it has none" do
    own = user.termbases.create!(name: "Plain")
    own.add_pair({ "en" => "chain", "it-IT" => "catena" }, by: user)
    own.add_pair({ "en-US" => "pedal", "it" => "pedale" }, by: user)
    own.add_pair({ "en-GB" => "bell", "nl-NL" => "bel" }, by: user)
    langs = own.entries.order(:id).map { |one| one.entry.sections.map(&:lang) }
    expect(langs).to eq([%w[en it-IT], %w[en it], %w[en nl-NL]])
  end
end
