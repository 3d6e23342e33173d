# Review inside: a reviser's own pass or a colleague's, rights, remarks by kind and severity, rounds, the
# report.
RSpec.describe "Review inside" do
  let(:user) { make_user }
  let(:colleague) { make_user("Matteo Ferrante") }
  let(:project) do
    make_project(user, manual_docx([["p", "Check the chain."], ["p", ["<w:b/>", "Warning:"], " hot"],
                                    ["p", "Stop now."], ["p", "Not yet translated."]]))
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    sign_in(user)
    ["Controllare la catena.", "{1}Avvertenza:{/1} caldo", "Fermarsi."].zip(segments) do |text, segment|
      segment.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
  end

  def round = project.review_rounds.reload.last

  def begin_round(**more)
    post "/api/projects/#{project.id}/review_rounds", params: { as: "inside", **more }, as: :json
    body
  end

  def invite(may = "change")
    begin_round(email: colleague.email, may: may)
    sign_in(colleague)
  end

  def passages(**more)
    get "/api/review_rounds/#{round.id}/passages", params: more
    body["passages"]
  end

  def read(segment, target = nil, **more)
    patch "/api/review_rounds/#{round.id}/passages/#{segment.id}",
      params: { read: true, target: target || segment.target, **more }, as: :json
    body
  end

  def remark(segment, **fields)
    post "/api/review_rounds/#{round.id}/remarks",
      params: { segment_id: segment.id, text: "x", error_type: "style", severity: "minor", **fields },
      as: :json
    body
  end

  def texts_of(workbook)
    Glossema::Formats.detect(workbook, "f.xlsx").read(workbook, name: "f.xlsx", options: {})
      .units.map { |unit| unit.content.text }
  end

  it "is a pass of one’s own over what is translated, each segment read by itself" do
    expect(begin_round).to include("way" => "inside", "reviser" => user.name, "sent" => 3, "sheet" => nil)
    expect(passages.map { |one| one.values_at("number", "read", "differences") }).to eq(
      [[1, false, nil], [2, false, nil], [3, false, nil]]
    )
    read(segments[0])
    expect(segments[0].reload).to have_attributes(state: "reviewed", target: "Controllare la catena.")
    answer = read(segments[2], "Arrestarsi.")["passage"]
    expect(answer).to include("read" => true, "state" => "reviewed", "proposed" => nil)
    expect(answer["differences"].map { |one|
      one.values_at("memory", "source")
    }).to eq([%w[Fermarsi Arrestarsi]])
    expect(project.memories.first.units.find_by(segment_id: segments[2].id).target).to eq("Arrestarsi.")
    patch "/api/review_rounds/#{round.id}/passages/#{segments[0].id}", params: { read: false }, as: :json
    expect(segments[0].reload.state).to eq("translated")
    get "/api/review_rounds/#{round.id}"
    expect(body["changes"].map { |one| one.values_at("before", "after", "author", "decision") }).to eq(
      [["Fermarsi.", "Arrestarsi.", user.name, "taken"]]
    )
  end

  it "keeps what is being written aside, until it is kept or dropped" do
    begin_round
    address = "/api/review_rounds/#{round.id}/passages/#{segments[0].id}"
    patch address, params: { draft: "Controllare la cat" }, as: :json
    expect(passages.first).to include("draft" => "Controllare la cat", "target" => "Controllare la catena.")
    expect(segments[0].reload.target).to eq("Controllare la catena.")
    patch address, params: { draft: nil }, as: :json
    expect(passages.first["draft"]).to be_nil
    patch address, params: { draft: "{7}kein" }, as: :json
    expect(response).to have_http_status(422)
  end

  it "refuses broken codes, an empty text, and what was changed meanwhile" do
    begin_round
    expect(read(segments[1], "{9}caldo")["error"]["code"]).to eq("code-unknown")
    expect(read(segments[0], " ")["error"]["code"]).to eq("target-empty")
    was = segments[0].version
    segments[0].confirm("Verificare la catena.", origin: { "kind" => "typed" }, by: user)
    expect(read(segments[0], "Guardare la catena.", version: was)["error"]["code"]).to eq("changed-meanwhile")
    expect(segments[0].reload.target).to eq("Verificare la catena.")
    expect(read(segments[3], "Nuovo")["error"]["code"]).to eq("not-found")
  end

  it "takes what a colleague may change at once, with her name in history and memory" do
    invite
    get "/api/today"
    expect(body["to_review"]).to match([a_hash_including("from" => user.name, "sent" => 3, "read" => 0)])
    read(segments[0], "Verificare la catena.")
    expect(segments[0].reload).to have_attributes(target: "Verificare la catena.", state: "reviewed")
    expect(segments[0].versions.last.user).to eq(colleague)
    unit = project.memories.first.units.find_by(segment_id: segments[0].id)
    expect(unit.changed_by).to eq("Matteo Ferrante")
  end

  it "makes proposals of what a colleague may only remark, to be decided by the owner" do
    invite("remark")
    expect(read(segments[0], "Verificare la catena.")["passage"]).to include(
      "proposed" => "Verificare la catena.", "target" => "Controllare la catena.", "read" => true
    )
    read(segments[2])
    expect(segments.map { |one| one.reload.state }).to eq(%w[translated translated translated untouched])
    sign_in(user)
    get "/api/review_rounds/#{round.id}"
    change = body["changes"].first
    expect(change).to include("decision" => "open", "author" => "Matteo Ferrante")
    post "/api/review_rounds/#{round.id}/decisions", params: { ids: [change["id"]], decision: "taken" },
      as: :json
    expect(segments[0].reload).to have_attributes(target: "Verificare la catena.", state: "reviewed")
    patch "/api/review_rounds/#{round.id}", params: { close: true }, as: :json
    expect(body["reviewed"]).to eq(1)
    expect(segments[2].reload.state).to eq("reviewed")
    expect(segments[1].reload.state).to eq("translated")
  end

  it "withdraws a proposal that is taken back to what stands" do
    invite("remark")
    read(segments[0], "Verificare la catena.")
    read(segments[0], "Controllare la catena.")
    expect(round.corrections).to be_empty
  end

  it "lets a colleague do only what she was asked to, and see only the round" do
    invite("read")
    expect(passages.size).to eq(3)
    expect(read(segments[0], "x")["error"]).to include("code" => "right-missing",
      "message" => "You do not have access for this. You can view.")
    expect(remark(segments[0])["error"]["code"]).to eq("right-missing")
    [[:get, "/api/projects/#{project.id}"], [:get, "/api/segments/#{segments[0].id}"],
     [:patch, "/api/review_rounds/#{round.id}"], [:delete, "/api/review_rounds/#{round.id}"],
     [:get, "/api/projects/#{project.id}/notes"]].each do |verb, address|
      public_send(verb, address, as: :json)
      expect(response).to have_http_status(404), address
    end
    sign_in(user)
    patch "/api/review_rounds/#{round.id}", params: { may: "remark" }, as: :json
    sign_in(colleague)
    expect(remark(segments[0])["author"]).to eq("Matteo Ferrante")
    sign_in(user)
    patch "/api/review_rounds/#{round.id}", params: { may: nil }, as: :json
    sign_in(colleague)
    get "/api/review_rounds/#{round.id}/passages"
    expect(response).to have_http_status(404)
    get "/api/today"
    expect(body["to_review"]).to eq([])
  end

  it "refuses an address that has no account" do
    expect(begin_round(email: "nobody@rook.example")["error"]).to include("code" => "guest-unknown",
      "message" => a_string_including("nobody@rook.example"))
    expect(project.review_rounds).to be_empty
  end

  it "has remarks on a segment or on words in it, answered and settled" do
    invite("remark")
    spot = { side: "target", from: 15, to: 21, text: "catena" }
    made = remark(segments[0], text: "Which chain?", error_type: "accuracy/omission", severity: "major",
      spot: spot)
    expect(made).to include("error_type" => "accuracy/omission", "severity" => "major",
      "spot" => spot.stringify_keys)
    expect(remark(segments[0], severity: "huge")["error"]["code"]).to eq("not-valid")
    sign_in(user)
    patch "/api/remarks/#{made["id"]}", params: { answer: "The main one.", settled: true }, as: :json
    expect(body).to include("answer" => "The main one.", "answered_by" => user.name,
      "settled_at" => a_kind_of(String))
    sign_in(colleague)
    patch "/api/remarks/#{made["id"]}", params: { text: "Which one?" }, as: :json
    expect(body["text"]).to eq("Which one?")
    own = Note.remark(round, segments[1], { "text" => "", "error_type" => "style", "severity" => "minor" },
      by: user)
    patch "/api/remarks/#{own.id}", params: { text: "no" }, as: :json
    expect(body["error"]["code"]).to eq("remark-other")
  end

  it "counts open remarks, undecided changes and open rounds among what is not ready" do
    invite("remark")
    made = remark(segments[0])
    read(segments[2], "Arrestarsi.")
    sign_in(user)
    get "/api/projects/#{project.id}/readiness"
    expect(body["items"]).to include("remarks" => a_hash_including("count" => 1),
      "undecided" => a_hash_including("count" => 1))
    expect(body["out"]).to eq([{ "number" => 1, "reviser" => "Matteo Ferrante" }])
    patch "/api/remarks/#{made["id"]}", params: { settled: true }, as: :json
    round.decide(round.corrections, "left", by: user)
    round.close
    get "/api/projects/#{project.id}/readiness"
    expect(body["items"].keys & %w[remarks undecided]).to eq([])
    expect(body["out"]).to eq([])
  end

  it "goes several rounds, each told from the state it began with, or from any earlier one" do
    begin_round
    read(segments[0], "Verificare la catena.")
    deliver(project, by: user)
    begin_round
    read(segments[0].reload, "Verificare bene la catena.")
    differing = lambda do |against|
      differences = passages(against: against).first["differences"]
      differences.map { |one| one.values_at("memory", "source").compact.join(">") }
    end
    expect(body["passage"]["read"]).to be(true)
    get "/api/review_rounds/#{round.id}/passages"
    expect(body["states"].map { |one| one["key"] }).to eq(%w[begin round-1 delivery-1 first])
    expect(differing["begin"]).to eq(["bene"])
    expect(differing["round-1"].join).to include("Controllare")
    expect(differing["delivery-1"]).to eq(["bene"])
    expect(differing["first"].join).to include("Controllare")
  end

  it "is closed, goes on, and takes everything back" do
    begin_round
    read(segments[0], "Verificare la catena.")
    patch "/api/review_rounds/#{round.id}", params: { close: true }, as: :json
    expect(read(segments[1])["error"]["code"]).to eq("round-closed")
    patch "/api/review_rounds/#{round.id}", params: { resume: true }, as: :json
    expect(read(segments[1])["passage"]["read"]).to be(true)
    patch "/api/review_rounds/#{round.id}", params: { reopen: true }, as: :json
    expect(segments[0].reload.target).to eq("Controllare la catena.")
  end

  it "reports words, kinds, severities, the score and the edit distance by file" do
    begin_round
    read(segments[0], "Verificare la catena.")
    read(segments[2])
    remark(segments[0], severity: "major", error_type: "accuracy/mistranslation", text: "Which verb?")
    get "/api/review_rounds/#{round.id}"
    expect(body["amount"]).to include("words" => 5, "changed" => 1,
      "score" => a_hash_including("points" => 5, "per_thousand" => 1000.0,
        "kinds" => { "accuracy" => { "count" => 1, "points" => 5 } }),
      "distance" => { "edits" => 8, "characters" => 22, "percent" => 36.4 })
    get "/api/review_rounds/#{round.id}", params: { as: "report" }
    cells = texts_of(response.body)
    expect(cells).to include("mistranslation", "Which verb?", "Verificare la catena.",
      "Error points per 1,000 words")
  end
end
