# Projects on a client’s server: offered, opened, written to, delivered once, taken back.
RSpec.describe "A client’s server", :stand_in do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Harbour Lane") }
  let(:address) { WithStandIn.agency }

  before { sign_in(user) }

  def tell_server(path, what) = Net::HTTP.post(URI("#{address}/#{path}"), what.to_json)
  def delivered = JSON.parse(Net::HTTP.get(URI("#{address}/delivered")))

  def add(key: WithStandIn::KEY, at: address)
    post "/api/clients/#{client.id}/servers", params: { address: at, key: key }, as: :json
  end

  def offers
    get "/api/offers"
    body["offers"]
  end

  def open_first
    add
    patch "/api/offers/#{offers.first["id"]}", as: :json
    opened = finish.result["project_id"]
    perform_enqueued_jobs
    user.projects.find(opened)
  end

  def confirm(segment, target)
    patch "/api/segments/#{segment.id}", as: :json,
      params: { target: target, version: segment.reload.version, confirm: true, origin: { kind: "typed" } }
  end

  it "offers projects to her key, and says what is wrong with an address or a key" do
    told = [[address, "wrong"], ["http://127.0.0.1:9", "x"], [WithStandIn.public_memory, WithStandIn::KEY],
            ["here", ""]]
      .map do |at, key|
        add(at: at, key: key)
        body["error"]["code"]
      end
    expect(told).to eq(%w[remote-refused remote-failed remote-other remote-address])
    add
    expect(body).to include("name" => "Harbour Lane Translations", "trouble" => nil)
    expect(response.body).not_to include(WithStandIn::KEY)
    add
    expect(body["error"]["code"]).to eq("not-valid")
    expect(offers.first).to include("name" => "Boarding with bicycles", "reference" => "HL-310",
      "files" => %w[boarding.html notices.txt], "client" => "Harbour Lane", "source_lang" => "en")
  end

  it "is opened with files, memory, terms, instructions and due date, and once" do
    project = open_first
    expect(project).to have_attributes(name: "Boarding with bicycles", reference: "HL-310", client: client,
      source_lang: "en", target_lang: "it", description: include("ponte biciclette"))
    expect(project.due_at).to be > 3.days.from_now
    expect(project.documents.map { |one| [one.name, one.state] })
      .to eq([%w[boarding.html ready], %w[notices.txt ready]])
    row = project.attachments.first
    expect([row.memory.remote.facts["name"],
            row.learns]).to eq(["Ferry line, English and Italian", "confirm"])
    expect(project.attached_termbases.map { |one| one.termbase.remote.facts["size"] }).to eq([6])
    expect(offers.map { |one| one["reference"] }).to eq(["HL-311"])
    patch "/api/offers/#{ServerProject.find_by(ref: "hl-310").id}", as: :json
    opened = Glossema::Refused.new("server-opened", name: project.name)
    expect(finish).to have_attributes(state: "failed", message: opened.message)
  end

  it "gets what is confirmed, and the delivery straight with a receipt: once, though the network went" do
    project = open_first
    project.begin!
    segment = project.segments.order(:position).find { |one| one.source.include?("quay") }
    confirm(segment, "Presentarsi al molo 30 minuti prima della partenza.")
    OutgoingRequest.go
    found = project.attachments.usable.map(&:memory).filter_map(&:remote).first.speaker
      .concordance("ferry-memory", text: "30 minutes")["units"]
    expect(found.map { |unit| unit["author"] }).to eq([user.name])
    tell_server("behaviour", fail: 503)
    post "/api/projects/#{project.id}/deliveries", as: :json
    finish
    OutgoingRequest.go
    get "/api/projects/#{project.id}/deliveries"
    expect(body.first["outgoing_request"]).to include("state" => "waiting", "trouble" => include("503"))
    tell_server("behaviour", {})
    travel(1.minute) { 3.times { OutgoingRequest.go } }
    get "/api/projects/#{project.id}/deliveries"
    expect(body.first).to include("receipt" => include("receipt" => "HL-0001", "files" => 2),
      "outgoing_request" => nil)
    expect(delivered.map { |one| one.values_at("project", "times", "files") })
      .to eq([["hl-310", 1, project.deliveries.first.files.map(&:base_name)]])
    # An answer that got lost: it is sent again, and is the same delivery.
    server = project.server_project.server.speaker
    sent = { id: "f1", name: "a.txt", sha256: Digest::SHA256.hexdigest("a"),
             content: Base64.strict_encode64("a") }
    receipts = Array.new(2) { server.deliver("hl-310", "same", [sent], "")["receipt"] }
    expect(receipts.uniq.size).to eq(1)
  end

  it "takes a project back: said at once, nothing is sent there any more, and the text stays" do
    project = open_first
    project.begin!
    tell_server("withdraw", project: "hl-310", reason: "The line is not served this year.")
    told = []
    allow(ProjectChannel).to receive(:broadcast_to) { |_, news| told << news }
    AskServerJob.perform_now
    expect(told.last).to include(event: "said", message: include("The line is not served this year."))
    get "/api/projects/#{project.id}"
    expect(body["server"]).to include("state" => "withdrawn", "said" => include("withdrew this project"))
    post "/api/projects/#{project.id}/deliveries", as: :json
    expect(finish.state).to eq("done")
    expect([OutgoingRequest.count, delivered]).to eq([0, []])
    tell_server("withdraw", project: "hl-311", reason: "Not needed.")
    patch "/api/offers/#{ServerProject.find_by(ref: "hl-311").id}", as: :json
    withdrawn = Glossema::Refused.new("server-withdrawn", host: "127.0.0.1", reason: "Not needed.")
    expect(finish).to have_attributes(state: "failed", message: withdrawn.message)
  end

  it "is told of a project that was taken back only when it is delivered there" do
    project = open_first
    project.begin!
    post "/api/projects/#{project.id}/deliveries", as: :json
    finish
    tell_server("withdraw", project: "hl-310")
    OutgoingRequest.go
    expect(OutgoingRequest.first).to have_attributes(state: "refused",
      trouble: include("withdrew this project"))
    expect(project.server_project.reload.state).to eq("withdrawn")
    tell_server("offer", project: "hl-310")
    post "/api/deliveries/#{project.deliveries.first.id}/outgoing_request", as: :json
    OutgoingRequest.go
    expect(project.deliveries.first.receipt).to include("receipt" => "HL-0001")
  end

  it "keeps what is known when it does not answer, and says why" do
    add
    tell_server("behaviour", fail: 500)
    AskServerJob.perform_now
    get "/api/offers"
    expect(body["offers"].size).to eq(2)
    expect(body["troubles"].first).to include("status 500")
    patch "/api/offers/#{body["offers"].first["id"]}", as: :json
    expect(finish).to have_attributes(state: "failed", message: include("status 500"))
    expect(user.projects.count).to eq(0)
  end
end
