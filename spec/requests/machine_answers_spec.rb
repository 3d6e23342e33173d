# Whatever a service answers: nothing that came is lost, nothing that is no translation is taken for one, and
# the ledger says what was sent and what came.
RSpec.describe "Answers of a machine translation service", :scripted_service do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt", machine: true) }
  let(:texts) { %w[one two three four five].map { |word| "Check number #{word} now." } }
  let(:project) do
    make_project(user, texts.join("\n\n"), name: "b.txt").tap { |made| made.update!(client: client) }
  end

  before { sign_in(user) }

  def service(batch: 10, name: "Scripted", **more, &script)
    user.machine_services.create!(name: name, address: serve(&script), active: true, key: "k", price: 20,
      currency: "EUR", **Machine::TEMPLATES["lists"].symbolize_keys, batch: batch, **more)
  end

  def translated(texts) = { translations: texts.map { |text| { text: text && "IT #{text}" } } }

  def answers
    @translator = Machine::Translator.for(project)
    @translator.answers(project.segments.order(:position).to_a).map { |answer| answer&.content&.text }
  end

  def ledger
    MachineRequest.order(:id).pluck(:texts, :given, :outcome).map { |texts, given, said|
      [texts, given, said[0, 30]]
    }
  end

  def wanted(*missing) = texts.map { |text| "IT #{text}" unless missing.include?(texts.index(text)) }

  it "keeps what came before a request that fails, and goes on behind it" do
    service(batch: 1) { |asked, count| count == 2 ? [400, "{}"] : JSON.generate(translated(asked["texts"])) }
    expect(answers).to eq(wanted(2))
    expect(@translator.trouble).to include("400")
    expect(MachineRequest.order(:id).map(&:given)).to eq([1, 1, 0, 1, 1])
    expect(MachineRequest.order(:id).map { |line|
      line.cost.positive?
    }).to eq([true, true, false, true, true])
    expect(answers).to eq(wanted)
    expect(MachineRequest.count).to eq(6)
  end

  it "stops where the key is refused, and keeps what came" do
    service(batch: 2) { |asked, count| count == 1 ? [403, "{}"] : JSON.generate(translated(asked["texts"])) }
    expect(answers).to eq(wanted(2, 3, 4))
    expect(MachineRequest.count).to eq(2)
  end

  it "asks for parts where texts are wanting, so that none is taken for another" do
    service do |asked, _|
      JSON.generate(translated(asked["texts"].reject { |text| text.include?("three") }))
    end
    expect(answers).to eq(wanted(2))
    expect(MachineRequest.sum(:given)).to eq(4)
  end

  it "takes what is left out, empty, unreadable or endless for no translation" do
    given = [nil, "  ", "Controllare \uFFFD", "x" * 5000, "Bene."]
    service { |_, _| JSON.generate(translations: given.map { |text| { text: text } }) }
    expect(answers).to eq([nil, nil, nil, nil, "Bene."])
    expect(ledger).to eq([[5, 1, "The service returned no text."]])
    get "/api/segments/#{project.segments.order(:position).first.id}/machine"
    expect(body["error"]).to include("code" => "machine-answer")
  end

  it "cleans control characters, turns of direction and wrong encodings" do
    latin = '{"translations": [{"text": "perché"}, {"text": "è"}, {"text": "a\\u0000b\\u0007"}, ' \
      '{"text": "\\u202Eabc\\u202C"}, {"text": "perchÃ© sÃ¬"}]}'.encode("UTF-8")
    service { |_, _| latin.sub("perchÃ© sÃ¬", "cosi").encode("Windows-1252").b }
    expect(answers).to eq(["perché", "è", "ab", "abc", "cosi"])
    MachineService.destroy_all
    service { |_, _| latin }
    expect(answers.last).to eq("perché sì")
  end

  it "is noted before it is sent" do
    seen = nil
    service do |asked, _|
      seen = MachineRequest.pluck(:outcome, :texts)
      JSON.generate(translated(asked["texts"]))
    end
    answers
    expect(seen).to eq([["sent", 5]])
    expect(ledger).to eq([[5, 5, "ok"]])
  end

  it "asks services in the order of the client, shows as many as it wants, and those that answer" do
    first = service(name: "First") { |asked, _| JSON.generate(translated(asked["texts"])) }
    second = service(name: "Second") { |asked, _| JSON.generate(translated(asked["texts"].map(&:upcase))) }
    broken = service(name: "Broken") { |_, _| [400, "{}"] }
    ask = -> { get "/api/segments/#{project.segments.order(:position).first.id}/machine" }
    ask.call
    expect(body["proposal"]).to include("service" => "First", "edits" => 30)
    expect(body["more"]).to eq([])
    patch "/api/clients/#{client.id}", as: :json,
      params: { machine_order: { "en>it" => [broken.id, second.id] }, machine_shown: 3 }
    expect(body).to include("machine_order" => { "en>it" => [broken.id, second.id] }, "machine_shown" => 3,
      "machine_pairs" => [%w[en it]])
    expect(body["machine_services"].map { |one| one["name"] }).to eq(%w[First Second Broken])
    ask.call
    expect([body["proposal"], *body["more"]].map { |one| one["service"] }).to eq(%w[Second First])
    expect(first.reload.requests.count).to eq(1)
    patch "/api/clients/#{client.id}", params: { machine_shown: 9 }, as: :json
    expect(body["error"]["code"]).to eq("not-valid")
  end

  it "compares services on one sentence" do
    service(name: "Good") { |asked, _| JSON.generate(translated(asked["texts"])) }
    service(name: "Bad") { |_, _| [429, "{}"] }
    service(name: "Other", languages: ["en>nl"]) { |_, _| raise "not asked" }
    compare = lambda do |text|
      post "/api/machine_comparison", params: { text: text, source_lang: "en-GB", target_lang: "it-IT" },
        as: :json
    end
    compare.call("Stop.")
    expect(body["compared"]).to match([
      include("service" => "Good", "got" => "IT Stop.", "ms" => be >= 0),
      include("service" => "Bad", "trouble" => include("quota"))
    ])
    expect(MachineRequest.order(:id).map { |line| [line.service.name, line.given] }).to contain_exactly(
      ["Good", 1], ["Bad", 0]
    )
    compare.call("x" * 501)
    expect(body["error"]["code"]).to eq("sentence-long")
    user.machine_services.update_all(active: false)
    compare.call("Stop.")
    expect(body["error"]["code"]).to eq("no-service")
  end

  it "refuses headers that are none" do
    post "/api/machine_services", as: :json,
      params: { name: "X", address: "http://x.example/", **Machine::TEMPLATES["lists"].symbolize_keys,
                headers: { "Bad header" => "x" } }
    expect(body["error"]).to include("code" => "machine-header", "message" => start_with("“Bad header”"))
  end
end
