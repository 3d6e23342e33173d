# The findings of a project: kept up to date, mended in one step, made one wording, let stand with a reason
# and back when the text changes; in the background where there is much to look at; as a workbook.
RSpec.describe "Checks" do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt") }
  let(:project) do
    made = make_project(user, "It weighs 12 kg.\n\nOil the chain.\n\nOil the chain.\n\nStop now.",
      name: "b.txt")
    made.update!(client: client)
    made
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    sign_in(user)
    write(0, "Pesa 13 kg.")
    write(1, "Oliare la catena.")
    write(2, "Lubrificare la la catena.")
  end

  def write(index, target)
    segments[index].reload.confirm(target, origin: { "kind" => "typed" }, by: user)
  end

  def findings
    get "/api/projects/#{project.id}/findings"
    body["findings"]
  end

  def told = findings.map { |one| one.values_at("number", "code", "level") }
  def finding(code) = findings.find { |one| one["code"] == code }

  def ignored_finding(code, **more)
    post "/api/projects/#{project.id}/ignored_findings", params: { key: finding(code)["key"], **more },
      as: :json
  end

  it "are told in text order with their spots, and go when their cause does" do
    expect(told).to eq([[1, "number-missing", "must-fix"], [2, "source-two-targets", "look"],
                        [3, "word-twice", "look"], [3, "source-two-targets", "look"]])
    expect(body).to include("checked" => 3, "left" => 0, "untranslated" => 1, "run" => nil,
      "profile" => "default")
    expect(finding("number-missing")).to include("source" => [[10, 12]], "target" => [[5, 7]],
      "message" => "12 in the source is 13 in the target.", "group" => "numbers")
    write(0, "Pesa 12 kg.")
    segments[2].reload.update!(target: "Oliare la catena.")
    expect(told).to eq([])
  end

  it "leave out what was cut anew while it was looked at" do
    run = Project::CheckRun.new(project)
    found = run.found(segments.first(2).map(&:id))
    segments[0].destroy!
    run.keep(found)
    expect(CheckedSegment.pluck(:segment_id)).to eq([segments[1].id])
  end

  it "do not compare a segment that is meant to read otherwise" do
    segments[2].update!(exempt: true)
    expect(told.map(&:second)).to eq(%w[number-missing word-twice])
  end

  it "are looked at again only where something changed, also in a termbase or a profile" do
    looked = -> { CheckedSegment.order(:segment_id).pluck(:stamp, :seen) }
    findings
    before = looked.call
    write(0, "Pesa 14 kg.")
    findings
    after = looked.call
    expect(before.zip(after).map { |one, other| one == other }).to eq([false, true, true])
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id, checks: true }])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "cinghia" }, by: user)
    expect(told).to include([2, "term-missing", "look"])
    client.update!(check_profile: { "checks" => { "term-missing" => { "level" => "must-fix" } } })
    expect(told).to include([2, "term-missing", "must-fix"])
    project.update!(never_used: ["Pesa"], never_translated: ["kg"])
    expect(told).to include([1, "never-used", "must-fix"])
  end

  it "tell where a term is put in several ways" do
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id, checks: true }])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catena" }, by: user)
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catenella" }, by: user)
    segments[2].reload.update!(target: "Lubrificare la catenella.")
    expect(finding("term-mixed")).to include("number" => 3,
      "message" => "“chain” is translated as catenella here and as catena in 2.")
  end

  it "put in what is certain, and take it back in one step" do
    patch "/api/projects/#{project.id}/findings", params: { keys: [finding("word-twice")["key"], "none"] },
      as: :json
    expect(body["result"]["count"]).to eq(1)
    expect(segments[2].reload).to have_attributes(target: "Lubrificare la catena.", state: "translated")
    undo(body["id"])
    expect(segments[2].reload.target).to eq("Lubrificare la la catena.")
  end

  { "here" => ["Lubrificare la la catena.", nil], "there" => [nil, "Oliare la catena."],
    "everywhere" => [nil, "Oliare la catena."] }.each do |way, (one, other)|
    it "make one wording of two, #{way}, and take it back" do
      before = [segments[1].reload.target, segments[2].reload.target]
      key = findings.find { |row| row["number"] == 2 && row["code"] == "source-two-targets" }["key"]
      post "/api/projects/#{project.id}/unifications", params: { key: key, way: way }, as: :json
      expect(finish.result["count"]).to eq(1)
      expect([segments[1].reload.target,
              segments[2].reload.target]).to eq([one || before[0], other || before[1]])
      expect(segments[2]).to have_attributes(state: "translated")
      undo(body["id"])
      expect([segments[1].reload.target, segments[2].reload.target]).to eq(before)
    end
  end

  it "refuse to unify what is gone" do
    post "/api/projects/#{project.id}/unifications", params: { key: "gone", way: "here" }, as: :json
    expect(body["error"]["code"]).to eq("finding-gone")
  end

  it "are let stand with a reason, alone, and come back when the text changes" do
    ignored_finding("number-missing", reason: "as printed")
    expect(finding("number-missing")["stands"]).to include("reason" => "as printed", "author" => user.name,
      "place" => "here")
    write(0, "Pesa 15 kg.")
    expect(finding("number-missing")["stands"]).to be_nil
    post "/api/projects/#{project.id}/ignored_findings", params: { key: "gone" }, as: :json
    expect(body["error"]["code"]).to eq("finding-gone")
  end

  it "are told in the language of whoever asks, and stand in any" do
    ignored_finding("number-missing", reason: "as printed")
    user.update!(preferences: { "language" => "it" })
    told = "12 nel testo di partenza è 13 nella traduzione."
    expect(finding("number-missing")).to include("message" => told)
    expect(finding("number-missing")["stands"]).to include("reason" => "as printed")
    expect(body["left"]).to eq(0)
  end

  it "stand as versions kept them that went by the sentence" do
    ignored_finding("number-missing", reason: "as printed")
    stand = IgnoredFinding.last
    digest = Digest::SHA256.hexdigest([segments[0].id, segments[0].source, "Pesa 13 kg.", "number-missing",
                                       stand.message].join("\0"))
    stand.update!(digest: digest, said: nil)
    expect(finding("number-missing")["stands"]).to include("reason" => "as printed")
  end

  it "are let stand all alike, in the project or for the client, and no longer" do
    stands = -> {
      findings.select { |one|
        one["code"] == "word-twice"
      }.map { |one| one["stands"]&.fetch("place") }
    }
    ignored_finding("word-twice", place: "project")
    segments[1].reload.update!(target: "Oliare la la catena.")
    expect(stands.call).to eq(%w[project project])
    delete "/api/ignored_findings/#{finding("word-twice")["stands"]["id"]}"
    expect(stands.call).to eq([nil, nil])
    ignored_finding("word-twice", place: "client")
    other = make_project(user, "Oil the belt.", name: "c.txt")
    other.update!(client: client)
    other.segments.first.confirm("Oliare la la cinghia.", origin: { "kind" => "typed" }, by: user)
    get "/api/projects/#{other.id}/findings"
    expect(body["findings"].map { |one| one["stands"]["place"] }).to eq(["client"])
    project.update!(client: nil)
    ignored_finding("number-missing", place: "client")
    expect(body["error"]["code"]).to eq("no-client")
  end

  it "mark the segments by the worst that is open" do
    ignored_finding("number-missing")
    get "/api/projects/#{project.id}/check_marks"
    expect(body["marks"]).to eq({ segments[1].id.to_s => "look", segments[2].id.to_s => "look" })
  end

  it "tell of a text while it is written, and change nothing" do
    post "/api/segments/#{segments[0].id}/findings", params: { target: "Pesa 12 kg,, oggi." }, as: :json
    expect(body["findings"].map { |one| one["code"] }).to eq(["mark-double"])
    expect(segments[0].reload.target).to eq("Pesa 13 kg.")
    get "/api/segments/#{segments[0].id}/findings"
    expect(body["findings"].map { |one| one["code"] }).to eq(["number-missing"])
  end

  it "leave as a workbook with what was let stand, why and by whom" do
    ignored_finding("number-missing", reason: "=as printed")
    get "/api/projects/#{project.id}/check_report"
    expect(response.headers["Content-Disposition"]).to include("findings.xlsx")
    bytes = response.body
    table = Glossema::Formats.detect(bytes, "f.xlsx").read(bytes, name: "f.xlsx", options: {})
    rows = table.first_rows(20).map { |row| row.values_at(1, 2, 4) }
    expect(rows).to include(["3", "have a look", "“la” is repeated."])
    expect(rows.flatten).not_to include("12 in the source is 13 in the target.")
    strings = Zip::File.open_buffer(StringIO.new(bytes)).read("xl/sharedStrings.xml")
    expect(strings).to include("12 in the source is 13 in the target.", "=as printed", user.name,
      "this segment")
  end

  it "stand in the way of a delivery as long as she does not know, and in its record" do
    get "/api/projects/#{project.id}/readiness"
    expect(body["items"].slice("must-fix", "look").transform_values { |one| one["count"] }).to eq(
      { "must-fix" => 1, "look" => 2 }
    )
    expect(body["items"]["must-fix"]["places"].first).to include("id" => segments[0].id, "number" => 1)
    ignored_finding("number-missing", reason: "as printed")
    post "/api/projects/#{project.id}/deliveries"
    expect(finish.delivery.checks).to eq({ "must-fix" => 0, "look" => 3, "stands" => 1, "left" => 0,
                                   "profile" => "default" })
  end

  describe "of a long text" do
    before { stub_const("Project::CheckRun::FEW", 1) }

    def run(method) = public_send(method, "/api/projects/#{project.id}/check_run")

    it "are looked for in the background, with what is known in sight meanwhile" do
      expect(findings.map { |one| one["code"] }.uniq).to eq(["source-two-targets"])
      expect(body).to include("left" => 3, "checked" => 0)
      perform_enqueued_jobs { run(:post) }
      expect(told.map(&:second)).to include("number-missing", "word-twice")
      expect(body).to include("left" => 0, "checked" => 3, "run" => nil)
    end

    it "stop where they are cancelled, and are begun once" do
      run(:post)
      first = body["id"]
      run(:post)
      expect(body["id"]).to eq(first)
      patch "/api/operations/#{first}", params: { state: "cancelled" }, as: :json
      run(:post)
      expect(body["id"]).not_to eq(first)
      stub_const("Project::CheckRun::BATCH", 1)
      stub_const("Operation::Execution::EVERY", 0)
      allow(Project::CheckRun).to receive(:new).and_wrap_original do |original, *arguments|
        original.call(*arguments).tap do |looking|
          allow(looking).to(receive(:keep).and_wrap_original { |keep, rows|
            keep.call(rows) && Operation.last.cancel
          })
        end
      end
      travel(1.second) { perform_enqueued_jobs }
      expect(Operation.last).to have_attributes(state: "cancelled", active: false)
      expect(CheckedSegment.count).to be < 3
    end
  end

  it "lay near twins beside each other, and what a memory holds otherwise" do
    long = "Check the pressure of the front tyre before every long ride."
    other = make_project(user, "#{long}\n\n#{long.sub("front", "rear")}", name: "t.txt",
      memories: [{ "memory_id" => make_memory(user, [[long, "Verificare la gomma."]]).id,
                   "learns" => "never" }])
    texts = ["Controllare la pressione della gomma anteriore.",
             "Prima di ogni uscita lunga la pressione va vista."]
    other.segments.order(:position).zip(texts) do |segment, text|
      segment.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    get "/api/projects/#{other.id}/similar_segments"
    expect(body["twins"].first).to include("uneven" => true, "source" => [
      { "op" => "replace", "today" => [26, 30], "memory" => [26, 31] }
    ])
    expect(body["twins"].first["one"]).to include("number" => 1, "source" => long)
    get "/api/projects/#{other.id}/memory_rivals"
    expect(body["rivals"].first).to include("number" => 1, "held" => "Verificare la gomma.",
      "author" => "Matteo Ferrante")
    post "/api/projects/#{other.id}/unifications",
      params: body["rivals"].first.slice("segment_id", "unit_id"), as: :json
    first = other.segments.order(:position).first
    expect(first).to have_attributes(target: "Verificare la gomma.", state: "translated")
    undo(body["id"])
    expect(first.reload.target).to eq(texts.first)
  end

  it "know the limits of subtitles, as the profile sets them" do
    film = "1\n00:00:01,000 --> 00:00:02,000\nLoad it low.\n\n2\n00:00:01,500 --> 00:00:04,000\nNow go.\n"
    other = make_project(user, film, name: "film.srt")
    other.segments.order(:position).zip(["Caricare in basso, per favore.", "Via."]) do |segment, text|
      segment.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    look = -> {
      get "/api/projects/#{other.id}/findings"
      body["findings"].map { |one| one.values_at("number", "code", "message") }
    }
    expect(look.call).to eq([
      [1, "cue-limits", "30 characters per second (limit: 17)."],
      [1, "cue-overlap", "The next cue starts 0.500 s before this one ends."]
    ])
    other.update!(check_profile: { "checks" => { "cue-limits" => { "cps" => 40 } } })
    expect(look.call.map(&:second)).to eq(["cue-overlap"])
  end

  it "list the words no dictionary knows, each once with its places" do
    write(0, "La catenna pesa 12 kg.")
    write(3, "Fermare la catenna e la rotta xyzzy.")
    get "/api/projects/#{project.id}/misspellings"
    expect(body["there"]).to be(true)
    expect(body["words"].map { |one| one.values_at("word", "count") }).to eq([["catenna", 2], ["xyzzy", 1]])
    expect(body["words"].first["places"].last).to include("number" => 4, "from" => 11, "to" => 18)
    project.learn_word("xyzzy", "mine")
    get "/api/projects/#{project.id}/misspellings"
    expect(body["words"].size).to eq(1)
  end
end
