# Machine translation: services configured and tried, proposals apart from those of memories, nothing sent
# that was not allowed, and a ledger of what was.
RSpec.describe "Machine translation", :stand_in do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt", machine: true) }
  let(:project) do
    text = "Check the brake pads.\n\nCheck the chain.\n\nCheck the brake pads."
    made = make_project(user, text, name: "b.txt")
    made.update!(client: client)
    made
  end
  let(:fields) do
    { name: "Stand-in", address: stand_in("translate"), key: WithStandIn::KEY, active: true,
      **Machine::TEMPLATES["lists"].symbolize_keys }
  end

  before { sign_in(user) }

  def make(**more)
    post "/api/machine_services", params: fields.merge(more), as: :json
    body
  end

  def proposal(segment)
    get "/api/segments/#{segment.id}/machine"
    body["proposal"]
  end

  def ledger
    get "/api/machine_services"
    body["sent"]
  end

  def look_ahead
    perform_enqueued_jobs do
      post "/api/projects/#{project.id}/pretranslation", params: { machine: true }, as: :json
    end
  end

  it "keeps a service whose key is encrypted and never shown, and tries it out" do
    made = make
    expect(made).to include("name" => "Stand-in", "has_key" => true, "active" => true)
    expect(response.body).not_to include(WithStandIn::KEY)
    stored = MachineService.connection.select_value("SELECT key FROM machine_services")
    expect(stored).not_to include(WithStandIn::KEY)
    post "/api/machine_services/#{made["id"]}/try", params: { source_lang: "en-GB", target_lang: "it-IT" }
    expect(body).to include("sent" => "Check the brake pads before every ride.", "codes" => true)
    expect(body["got"]).to include("pastiglia")
    patch "/api/machine_services/#{made["id"]}", params: { name: "Other", key: "" }, as: :json
    expect([body["name"], MachineService.last.key]).to eq(["Other", WithStandIn::KEY])
    behave(refuse: "quota")
    post "/api/machine_services/#{made["id"]}/try", params: { source_lang: "en-GB", target_lang: "it-IT" }
    expect(body["error"]["message"]).to end_with("does not accept more texts: the quota is used up.")
  end

  it "proposes what the service gives, asks for a text once, and notes what was sent" do
    make
    first, second, third = project.segments.order(:position).to_a
    expect(proposal(first)).to include("kind" => "machine", "service" => "Stand-in", "lost" => [])
    before = asked
    expect(proposal(third)["target"]).to eq(proposal(first)["target"])
    expect(asked).to eq(before)
    proposal(second)
    expect(ledger.map { |one| one.values_at("client", "texts", "characters", "outcome") }).to eq(
      [["Tarnholt", 1, 16, "ok"], ["Tarnholt", 1, 21, "ok"]]
    )
  end

  it "sends nothing for a client that does not allow it, nor while it is switched off" do
    made = make
    client.update!(machine: false)
    before = asked
    expect(proposal(project.segments.first)).to be_nil
    client.update!(machine: true)
    patch "/api/machine_services/#{made["id"]}", params: { active: false }, as: :json
    expect(proposal(project.segments.first)).to be_nil
    project.update!(client: nil)
    expect([asked, ledger]).to eq([before, []])
  end

  it "says why there is no proposal, and what cannot be a service" do
    make
    behave(garble: "html")
    expect(proposal(project.segments.first)).to be_nil
    expect(body["error"]).to include("code" => "machine-failed", "message" => include("not JSON"))
    expect(ledger.first["outcome"]).to include("not JSON")
    { { request: "{" } => "machine-template", { answer: "a[b]" } => "machine-template",
      { address: "ftp://x" } => "machine-address", { address: "nothing" } => "machine-address",
      { batch: 0 } => "not-valid" }.each do |wrong, code|
      make(name: "Another", **wrong)
      expect(body["error"]["code"]).to eq(code), wrong.to_s
    end
    expect(user.machine_services.count).to eq(1)
  end

  it "chats with her own instructions" do
    make(address: stand_in("chat"), **Machine::TEMPLATES["chat"].symbolize_keys, instructions: "Translate.")
    expect(proposal(project.segments.first)["target"]).to include("pastiglia")
  end

  it "tells a chat the terms, the best matches and the sentences around, and nothing that is not asked for" do
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id }])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catena" }, by: user)
    memory = make_memory(user, [["Check the chain now.", "Controllare adesso la catena."]])
    project.attach([{ "memory_id" => memory.id }])
    project.segments.order(:position).first.confirm("Le pastiglie.", origin: { "kind" => "typed" }, by: user)
    make(address: stand_in("chat"), **Machine::TEMPLATES["chat"].symbolize_keys)
    proposal(project.segments.order(:position).second)
    expect(last_asked["messages"].last["content"].split("\n\n")).to match([
      "Terms:\nchain = catena", "Translated before:\nCheck the chain now. = Controllare adesso la catena.",
      "The text before:\nCheck the brake pads. = Le pastiglie.",
      start_with("The text after:\nCheck the brake pads."),
      "en-GB > it-IT: Check the chain."
    ])
    MachineService.destroy_all
    make(name: "Plain")
    proposal(project.segments.order(:position).first)
    expect(last_asked).to eq("source" => "en-GB", "target" => "it-IT", "texts" => ["Check the brake pads."])
  end

  it "is asked only for its languages, and says what it costs" do
    made = make(languages: ["en > nl", "en > nl"], price: "20", currency: "EUR")
    expect(made).to include("languages" => ["en>nl"], "price" => "20.0")
    expect(proposal(project.segments.first)).to be_nil
    patch "/api/machine_services/#{made["id"]}", params: { languages: ["en>it"] }, as: :json
    expect(proposal(project.segments.first)).not_to be_nil
    expect(ledger.first).to include("characters" => 21, "cost" => "0.00042", "currency" => "EUR")
    get "/api/machine_ledger"
    expect(CSV.parse(response.body).last.values_at(1, 3, 4, 5, 6, 7, 8, 9)).to eq(
      ["Stand-in", "Tarnholt", "1", "1", "21", "0.00042", "EUR", "ok"]
    )
    make(name: "Another", languages: ["english to italian"])
    expect(body["error"]["code"]).to eq("machine-languages")
  end

  it "knows how far its translations were changed, of each version and in all" do
    make
    first, second = project.segments.order(:position).to_a
    given = [first, second].map { |segment| proposal(segment)["target"] }
    first.confirm(given[0], origin: { "kind" => "machine" }, by: user)
    second.keep_draft(given[1], origin: { "kind" => "machine" }, by: user)
    second.keep_draft("#{given[1].chomp(".")} adesso.", origin: { "kind" => "machine", "touched" => true },
      by: user)
    get "/api/segments/#{second.id}/versions"
    expect(body.map { |version| version["edited"] }).to match([be_between(1, 60), 0])
    get "/api/projects/#{project.id}/post_editing"
    expect(body).to match("segments" => 2, "words" => 7, "as_given" => 1, "changed" => be_between(0.5, 20))
  end

  it "translates ahead below the memories, and goes on without what failed" do
    make
    look_ahead
    preview = Operations::PretranslationPreview.last
    expect(preview.result["origins"]["machine"]["segments"]).to eq(3)
    patch "/api/projects/#{project.id}/pretranslation", params: { preview_id: preview.id }, as: :json
    written = finish
    origins = project.segments.order(:position).map { |one| one.origin["kind"] }
    expect(origins.uniq).to eq(["machine"])
    undo(written)
    MachineAnswer.delete_all
    behave(fail: 400)
    look_ahead
    expect(Operation.last).to have_attributes(state: "done",
      result: include("trouble" => include("status 400")))
  end
end
