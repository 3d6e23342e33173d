# Memories and termbases on other servers: attached, asked in the background, written to; and hers reached by
# keys.
RSpec.describe "Memories on other servers", :stand_in do
  let(:user) { make_user }
  let(:address) { WithStandIn.public_memory }
  let(:key) { WithStandIn::KEY }
  let(:text) {
    "<p>Always wear a helmet.</p><p>Check the brakes before every journey.</p><p>Ask the dealer.</p>"
  }

  before { sign_in(user) }

  def tell_server(how) = Net::HTTP.post(URI("#{address}/behaviour"), how.to_json)
  def asked = JSON.parse(Net::HTTP.get(URI("#{address}/asked")))["asked"]
  def said = message

  def attach(ref: "open-en-it", kind: "memory", as: key, **more)
    post "/api/remote_sources", params: { kind: kind, address: address, key: as, ref: ref, **more }, as: :json
    RemoteSource.last
  end

  def project_with(item, **more)
    row = { "memory_id" => item.id, "learns" => "confirm", "penalty" => 2, **more.stringify_keys }
    make_project(user, text, name: "a.html", memories: [row])
  end

  def elsewhere(segment)
    get "/api/segments/#{segment.id}/remote_proposals"
    first = body["sources"]
    RemoteSource::Desk.settle
    get "/api/segments/#{segment.id}/remote_proposals"
    [first, body["sources"]].map { |list| list.map { |one| one["state"] } }
  end

  def proposals(segment)
    get "/api/segments/#{segment.id}/proposals"
    body["proposals"].select { |one| one["memory"] }
  end

  it "are tried, and say plainly what they are: languages, units, to read or to write" do
    post "/api/remote_trials", params: { address: address, key: key }, as: :json
    expect(body["server"]).to eq("Open Sentences")
    expect(body["items"].first).to include("id" => "open-en-it", "kind" => "memory", "languages" => %w[en it],
      "may" => "read")
    expect(body["items"].first["size"]).to be > 50
    post "/api/remote_trials", params: { address: address, key: "#{key}-write" }, as: :json
    expect(body["items"].map { |one| one["may"] }).to include("write")
  end

  it "say what is wrong with an address, a key, a pair, and with another program" do
    tries = [["nonsense", key], ["http://u:p@x.example", key], ["http://127.0.0.1:9", key],
             [address, "wrong"]]
    told = tries.map do |where, with|
      post "/api/remote_trials", params: { address: where, key: with }, as: :json
      body["error"].values_at("code", "message")
    end
    expect(told.map(&:first)).to eq(%w[remote-address remote-address remote-failed remote-refused])
    expect(told.map(&:last)).to all(match(/\A.+\.\z/))
    %w[other html].each do |how|
      tell_server(garble: how)
      post "/api/remote_trials", params: { address: address, key: key }, as: :json
      expect(body["error"]["code"]).to eq("remote-other")
    end
    tell_server({})
    attach(source_lang: "de", target_lang: "it")
    expect(body["error"]["code"]).to eq("remote-pair")
    expect(said).to eq("“Open sentences, English and Italian” has the languages en → it, not de → it.")
    attach(ref: "gone")
    expect(body["error"]["code"]).to eq("remote-refused")
    expect(user.memories.count + user.termbases.count).to eq(0)
  end

  it "give what they know among the other proposals, with name and points off, asked once for several" do
    source = attach
    project = project_with(source.item)
    first, second = *project.segments.order(:position)
    expect(proposals(first)).to eq([])
    before = asked
    expect(elsewhere(first)).to eq([["asking"], ["answered"]])
    expect(proposals(first).first).to include("kind" => "exact", "target" => "Indossare sempre il casco.",
      "memory" => "Open sentences, English and Italian", "author" => "Open Sentences", "raw" => 100,
      "score" => 97)
    expect(proposals(first).first["penalties"]).to eq([{ "reason" => "memory", "points" => 2 },
                                                       { "reason" => "region", "points" => 1 }])
    expect(elsewhere(second)).to eq([["answered"], ["answered"]])
    expect(proposals(second).first).to include("kind" => "fuzzy", "unit" => nil,
      "target" => "Controllare gli pneumatici prima di ogni viaggio.")
    expect(asked - before).to eq(1)
  end

  it "count and are translated ahead from" do
    project = make_project(user, text, name: "a.html")
    source = attach
    project.update!(begun_at: nil)
    project.attach([{ "memory_id" => source.item_id }])
    Operations::ProjectCount.perform_now(project, by: project.user)
    expect(project.documents.first.bands.transform_values { |one|
      one["words"]
    }).to include("exact" => 4, "75-84" => 6)
    project.update!(begun_at: Time.current)
    before = asked
    found = Pretranslation::Search.new(project, 75).run(project.segments.ids)
    expect(found.values.pluck("target")).to include("Indossare sempre il casco.")
    expect(asked).to eq(before)
  end

  it "hold up nothing when they are slow, dead, garbled or answer with a million: they say so, and rest" do
    source = attach
    first = project_with(source.item).segments.order(:position).first
    { { slow: 3 } => "no response within 1 s", { fail: 503 } => "status 503",
      { garble: "html" } => "was not valid", { garble: "count" } => "was not valid",
      { garble: "half" } => "was not valid", { garble: "million" } => "larger than 8 MB" }.each do |how, why|
      HttpClient.broken.clear
      RemoteSource::Desk.clear
      stub_const("RemoteSource::WHILE_TYPING", how.key?(:slow) ? 1 : 30)
      tell_server(how)
      get "/api/segments/#{first.id}/remote_proposals"
      expect(body["sources"].first["state"]).to eq("asking"), how.to_s
      expect(proposals(first)).to eq([])
      RemoteSource::Desk.settle
      get "/api/segments/#{first.id}/remote_proposals"
      expect(body["sources"].first).to include("state" => "failed", "said" => include(why))
    end
    tell_server(fail: 503)
    HttpClient.broken.clear
    3.times do
      RemoteSource::Desk.clear
      get "/api/segments/#{first.id}/remote_proposals"
      RemoteSource::Desk.settle
    end
    RemoteSource::Desk.clear
    before = asked
    get "/api/segments/#{first.id}/remote_proposals"
    RemoteSource::Desk.settle
    get "/api/segments/#{first.id}/remote_proposals"
    expect(body["sources"].first["said"]).to include("Try again later")
    expect(asked).to eq(before)
    expect { source.test }.to raise_error(Glossema::Refused) { |e| expect(e.code).to eq("remote-resting") }
    tell_server({})
    HttpClient.broken.clear
    RemoteSource::Desk.clear
    expect(elsewhere(first).last).to eq(["answered"])
  end

  it "are written to only where she says so: once, also when they were away meanwhile" do
    source = attach(ref: "notebook", as: "#{key}-write")
    first = project_with(source.item).segments.order(:position).first
    confirm = lambda do |target|
      patch "/api/segments/#{first.id}", as: :json,
        params: { target: target, version: first.reload.version, confirm: true, origin: { kind: "typed" } }
    end
    confirm["Casco sempre."]
    expect(OutgoingRequest.count).to eq(0)
    patch "/api/remote_sources/#{source.id}", params: { writes: true }, as: :json
    expect(body).to include("writes" => true, "waiting" => 0)
    tell_server(fail: 503)
    confirm["Sempre il casco."]
    OutgoingRequest.go
    expect(OutgoingRequest.first).to have_attributes(state: "waiting", tries: 1, trouble: include("503"))
    confirm["Indossare il casco."]
    expect(OutgoingRequest.count).to eq(1)
    tell_server({})
    travel(1.minute) { 2.times { OutgoingRequest.go } }
    expect(OutgoingRequest.count).to eq(0)
    confirm["Portare il casco."]
    OutgoingRequest.go
    units = source.speaker.concordance("notebook", text: "helmet")["units"]
    expect(units.map { |unit| unit.slice("target", "author") })
      .to eq([{ "target" => "Portare il casco.", "author" => user.name }])
  end

  it "give their terms and what words stand in, and cannot be changed or given away from here" do
    memory = attach.item
    termbase = attach(kind: "termbase", ref: "open-terms").item
    project = project_with(memory)
    project.attach_termbases([{ "termbase_id" => termbase.id }])
    last = project.segments.order(:position).last
    elsewhere(last)
    get "/api/segments/#{last.id}/terms"
    expect(body["terms"].first).to include("term" => "dealer", "entry_id" => nil, "termbase" => "Open terms",
      "targets" => [include("text" => "rivenditore")])
    far = "/api/projects/#{project.id}/remote_concordance?text=helmet"
    get far
    RemoteSource::Desk.settle
    get far
    expect(body["hits"].map { |hit| hit.values_at("target", "marks") })
      .to eq([["Indossare sempre il casco.", [[14, 20]]]])
    post "/api/memories/#{memory.id}/shares", params: { email: "a@b.example" }, as: :json
    expect(body["error"]["code"]).to eq("remote-elsewhere")
    post "/api/memories/#{memory.id}/changes", params: { kind: "delete", ids: [1] }, as: :json
    expect(body["error"]["code"]).to eq("remote-elsewhere")
    get "/api/memories"
    expect(body.first["remote"]).to include("server" => "Open Sentences", "has_key" => true)
    expect(response.body).not_to include(key)
  end

  it "are asked about what is translated, for the checks: once, and again only for other texts" do
    termbase = attach(kind: "termbase", ref: "open-terms").item
    project = make_project(user, text, name: "a.html")
    project.attach_termbases([{ "termbase_id" => termbase.id }])
    last = project.segments.order(:position).last
    last.confirm("Chieda al negozio.", origin: { "kind" => "typed" }, by: user)
    codes = lambda do
      get "/api/projects/#{project.id}/findings"
      RemoteSource::Desk.settle
      body["findings"].pluck("number", "code")
    end
    expect(codes.call).not_to include([last.position, "term-missing"])
    before = asked
    expect(codes.call).to include([last.position, "term-missing"])
    last.reload.confirm("Chieda al rivenditore.", origin: { "kind" => "typed" }, by: user)
    expect(codes.call).not_to include([last.position, "term-missing"])
    expect(asked).to eq(before)
    tell_server(fail: 503)
    project.segments.first.confirm("Sempre il casco.", origin: { "kind" => "typed" }, by: user)
    2.times { expect(codes.call).to eq([]) }
    expect(CheckedSegment.find_by(segment: last).terms.pluck("target")).to eq(["rivenditore"])
  end

  it "take in terms she adds, where she says so" do
    termbase = attach(kind: "termbase", ref: "word-list", as: "#{key}-write").item
    project = make_project(user, text, name: "a.html")
    project.attach_termbases([{ "termbase_id" => termbase.id }])
    add = lambda do
      post "/api/projects/#{project.id}/terms", params: { source: "helmet", target: "casco" }, as: :json
      body["added"]&.pluck("made") || body["error"]["code"]
    end
    expect(add.call).to eq("no-termbase")
    termbase.remote.update!(writes: true)
    expect(add.call).to eq(["sent"])
    OutgoingRequest.go
    first = project.segments.order(:position).first
    elsewhere(first)
    get "/api/segments/#{first.id}/terms"
    expect(body["terms"].pluck("term")).to eq(["helmet"])
  end

  describe "hers, reached by keys" do
    let(:memory) { make_memory(user, [["Load the box.", "Caricare la cassa."]], name: "Bicycles") }

    def make_key(**fields)
      post "/api/memories/#{memory.id}/remote_keys", params: { name: "Anneke’s tool", **fields }, as: :json
      body["key"]
    end

    def ask(verb, path, secret, **params)
      headers = { "Authorization" => "Bearer #{secret}" }
      public_send(verb, "/remote/v1/#{path}", params: params, headers: headers,
        as: (:json unless verb == :get))
      body
    end

    it "give units, learn, and are closed when the key is withdrawn or its last day is over" do
      expect(make_key(until: 1.day.ago.to_date.iso8601)).to be_nil
      expect(body["error"]["message"]).to include("The last day is in the past")
      secret = make_key(may: "write", until: Date.current.iso8601)
      expect(ask(:get, "",
        secret)["items"].first).to include("kind" => "memory", "languages" => %w[en-GB it-IT])
      folder = "memories/#{memory.id}"
      pair = { source_lang: "en-GB", target_lang: "it-IT" }
      expect(ask(:post, "#{folder}/matches", secret, **pair, queries: ["Load the box."])["results"][0][0])
        .to include("target" => "Caricare la cassa.", "author" => "Matteo Ferrante")
      unit = { id: "a1", source: "Sit.", target: "Sedersi.", author: "Anneke Vos" }
      2.times { ask(:post, "#{folder}/units", secret, units: [unit]) }
      ask(:post, "#{folder}/units", secret, units: [unit.merge(target: "Si sieda.")])
      expect(memory.units.order(:id).pluck(:target, :changed_by).last).to eq(["Si sieda.", "Anneke Vos"])
      expect(memory.units.last.versions.count).to eq(1)
      expect(ask(:post, "#{folder}/concordance", secret, text: "box")["units"].size).to eq(1)
      get "/api/memories/#{memory.id}/remote_keys"
      expect(body.first).to include("name" => "Anneke’s tool", "asked" => 2, "ending" => secret.last(4))
      expect(response.body).not_to include(secret)
      travel(2.days) { expect(ask(:get, "", secret)["error"]["code"]).to eq("key") }
      delete "/api/remote_keys/#{RemoteKey.last.id}"
      expect(ask(:get, "", secret)["error"]["code"]).to eq("key")
    end

    it "open nothing else, write nothing with a key to read, and ask no more than they may" do
      other = make_memory(user, [["Secret", "Segreto"]], name: "Other")
      secret = make_key(per_minute: 2)
      expect(ask(:get, "memories/#{other.id}/units", secret)["error"]["code"]).to eq("not-found")
      unit = { source: "Sit.", target: "Sedersi." }
      expect(ask(:post, "memories/#{memory.id}/units", secret,
        units: [unit])["error"]["code"]).to eq("read-only")
      codes = Array.new(3) {
        ask(:post, "memories/#{memory.id}/concordance", secret, text: "box").dig("error", "code")
      }
      expect(codes).to eq([nil, nil, "limit"])
      expect(ask(:get, "", nil)["error"]["code"]).to eq("key")
      post "/remote/v1/memories/#{memory.id}/matches", params: "{", headers: {
        "Authorization" => "Bearer #{secret}", "Content-Type" => "application/json"
      }
      expect(body["error"]["code"]).to eq("json")
    end

    it "give terms and take in new ones" do
      termbase = user.termbases.create!(name: "Parts")
      termbase.add_pair({ "en-GB" => "deck", "it-IT" => "pianale" }, by: user)
      post "/api/termbases/#{termbase.id}/remote_keys", params: { name: "x", may: "write" }, as: :json
      secret = body["key"]
      pair = { source_lang: "en-GB", target_lang: "it-IT" }
      found = ask(:post, "termbases/#{termbase.id}/terms", secret, **pair, texts: ["The deck is full."])
      expect(found["results"][0][0]).to include("from" => 4, "to" => 8)
      entry = lambda do |en, it|
        { sections: [{ lang: "en-GB", terms: [{ text: en }] }, { lang: "it-IT", terms: [{ text: it }] }] }
      end
      told = ask(:post, "termbases/#{termbase.id}/entries", secret,
        entries: [entry["deck", "piano"], entry["box", "cassa"]])
      expect(told).to eq("learned" => 2)
      expect(termbase.entries.there.map { |one|
        one.entry.terms.map(&:text)
      }).to eq([%w[deck pianale piano], %w[box cassa]])
      expect(ask(:get, "termbases/#{termbase.id}/entries", secret)["entries"].size).to eq(2)
    end
  end
end
