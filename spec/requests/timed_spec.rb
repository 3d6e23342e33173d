# Subtitles: films beside them, cues with times and sentences, lines broken.
RSpec.describe "Subtitles" do
  let(:user) { make_user }
  let(:project) { make_project(user, cues, name: "film.srt") }
  let(:document) { project.documents.first }
  let(:cues) do
    "1\n00:00:01,000 --> 00:00:03,700\nHeavy things go low,\n\n" \
      "2\n00:00:03,800 --> 00:00:05,800\nnever on the front rack.\n\n" \
      "3\n00:00:06,000 --> 00:00:07,000\nTighten every strap.\n"
  end
  let(:webm) { "\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01B\x82\x84webm".b + Random.new(1).bytes(3_000_000) }

  def give(bytes, name)
    post "/api/documents/#{document.id}/film", params: { files: [upload(bytes, name)] }
  end

  before { sign_in(user) }

  it "have cues with times, limits of the client, and sentences over several cues" do
    project.update!(check_profile: { "checks" => { "cue-limits" => { "cps" => 15 } } })
    get "/api/documents/#{document.id}/cues"
    ids = document.segments.pluck(:id)
    expect(body["cues"].first).to eq("segment_id" => ids[0], "number" => 1, "start" => 1.0, "finish" => 3.7,
      "place" => nil)
    expect(body["limits"]).to include("cps" => 15, "characters" => 42, "rate" => 25)
    expect(body.values_at("sentences", "film")).to eq([[ids.first(2)], nil])
  end

  it "have a film that is played in pieces and taken away" do
    give(webm, "any.webm")
    expect(response).to have_http_status(:created)
    expect(body["film"]).to eq("any.webm")
    get "/api/documents/#{document.id}/film", headers: { "Range" => "bytes=0-" }
    expect(response).to have_http_status(:partial_content)
    expect(response.headers["Content-Range"]).to eq("bytes 0-2097151/#{webm.bytesize}")
    get "/api/documents/#{document.id}/film", headers: { "Range" => "bytes=2999000-2999999" }
    expect(response.body.b).to eq(webm[2_999_000..2_999_999])
    expect(response.headers["Content-Type"]).to eq("video/webm")
    get "/api/documents/#{document.id}/film", headers: { "Range" => "bytes=9000000-" }
    expect(response).to have_http_status(:range_not_satisfiable)
    get "/api/documents/#{document.id}/film"
    expect(response.body.bytesize).to eq(webm.bytesize)
    delete "/api/documents/#{document.id}/film"
    get "/api/documents/#{document.id}/film"
    expect(response).to have_http_status(:not_found)
  end

  {
    "film-kind" => ["not a film", "any.mp4", "film.srt"],
    "film-text" => [nil, "any.webm", "page.html"]
  }.each do |code, (bytes, film, name)|
    it "refuse a film: #{code}" do
      document.update!(name: name,
        format: Glossema::Formats.detect("<p>x</p>", name)::NAME) if name == "page.html"
      give(bytes || webm, film)
      expect(body.dig("error", "code")).to eq(code)
      expect(document.reload.film).not_to be_attached
    end
  end

  it "refuse a film larger than 4 GB before it is kept" do
    stub = upload(webm, "any.webm")
    allow(stub).to receive(:size).and_return(5.gigabytes)
    expect { document.take_film(stub) }.to raise_error(Glossema::Refused) { |error|
      expect(error.code).to eq("film-large")
    }
  end

  it "find their film among what is dropped, by name" do
    other = make_project(user, cues, name: "first.srt")
    post "/api/projects/#{other.id}/documents",
      params: { files: [upload(webm, "Loading_safely.webm"), upload(cues, "loading-safely.en.srt")] }
    expect(response).to have_http_status(:created)
    expect(other.documents.reload.map { |one| [one.name, one.film.attached?] })
      .to eq([["first.srt", false], ["loading-safely.en.srt", true]])
    post "/api/projects/#{other.id}/documents", params: { files: [upload(webm, "strange.webm")] }
    expect(body.dig("error", "code")).to eq("film-alone")
  end

  it "say sentences over several cues, which are matched as one and divided by time and sense" do
    memory = user.memories.create!(name: "Films", source_lang: "en-GB", target_lang: "it-IT")
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(attributes: {},
      source: "Heavy things go low, never on the front rack.",
      target: "I pesi vanno in basso, mai sul portapacchi anteriore.")])
    project.attachments.create!(memory: memory, position: 1, learns: "confirm")
    first, second, third = document.segments.to_a
    get "/api/segments/#{second.id}/sentence"
    expect(body["proposals"].first).to include("score" => 100, "sentence" => [1, 2])
    text = body["proposals"].first["target"]
    post "/api/segments/#{second.id}/sentence", params: { text: text }, as: :json
    expect(body["parts"]).to eq([
      { "segment_id" => first.id, "target" => "I pesi vanno in basso," },
      { "segment_id" => second.id, "target" => "mai sul portapacchi anteriore." }
    ])
    get "/api/segments/#{third.id}/sentence"
    expect(body["proposals"]).to eq([])
    post "/api/segments/#{third.id}/sentence", params: { text: "Sì" }, as: :json
    expect(body.dig("error", "code")).to eq("no-sentence")
  end

  it "are learned as cues and as the sentence they say, which is never doubled" do
    memory = user.memories.create!(name: "Films", source_lang: "en-GB", target_lang: "it-IT")
    project.attachments.create!(memory: memory, position: 1, learns: "confirm")
    write = ->(segment, text) {
      patch "/api/segments/#{segment.id}", as: :json,
        params: { target: text, confirm: true, origin: { kind: "typed" } }
    }
    first, second, = document.segments.to_a
    write[first, "Le cose pesanti in basso,"]
    expect(memory.units.pluck(:source)).to eq(["Heavy things go low,"])
    write[second, "mai davanti."]
    whole = -> { memory.units.reload.where("source LIKE '%low, never%'").pluck(:target) }
    expect(whole.call).to eq(["Le cose pesanti in basso, mai davanti."])
    write[second.reload, "mai sul portapacchi."]
    expect(whole.call).to eq(["Le cose pesanti in basso, mai sul portapacchi."])
    expect(memory.units.count).to eq(3)
  end

  it "are broken into lines in the best places, codes kept at their words" do
    segment = document.segments.first
    code = { "id" => 1, "kind" => "open", "key" => "a", "type" => "italic", "display" => "italic" }
    segment.update!(source: "Heavy {1}things{/1} go low,", codes: [code])
    target = "Gli {1}oggetti pesanti{/1} vanno in\nbasso e vicini alla ruota posteriore,"
    post "/api/segments/#{segment.id}/line_breaks", params: { target: target }, as: :json
    expect(body["ways"].first)
      .to eq("Gli {1}oggetti pesanti{/1} vanno in basso\ne vicini alla ruota posteriore,")
    expect(body["ways"].size).to be > 2
  end

  describe "with times that may be changed" do
    def change(segment, **times) = patch("/api/segments/#{segment.id}/times", params: times, as: :json)
    def times = document.reload.segments.reload.map { |segment| Glossema::Location.times(segment.location) }

    before { project }

    it "are put on frames and apart from those beside them, what is translated stays, and it is taken back" do
      first, second, = document.segments.to_a
      first.confirm("Le cose pesanti in basso,", origin: { "kind" => "typed" }, by: user)
      change(second, start: "00:00:03.910", finish: "5.99")
      expect(response).to have_http_status(:ok)
      expect(times[1]).to eq("00:00:03,920 → 00:00:05,920")
      expect(document.segments.first.target).to eq("Le cose pesanti in basso,")
      written = document.opened.write({})
      expect(written).to eq(cues.sub("00:00:03,800 --> 00:00:05,800", "00:00:03,920 --> 00:00:05,920").b)
      Operations::CueTimes.last.undo(by: user)
      perform_enqueued_jobs
      expect(times[1]).to eq("00:00:03,800 → 00:00:05,800")
    end

    it "are taken back the last one first, and stay when a setting is taken back (times-later)" do
      first, second, = document.segments.to_a
      change(second, start: "3.92")
      change(first, start: "1.2")
      last, before = Operations::CueTimes.order(id: :desc).to_a
      expect { before.undo(by: user) }.to raise_error(Glossema::Refused) { |error|
        expect(error.code).to eq("times-later")
      }
      last.undo(by: user)
      perform_enqueued_jobs
      expect(times.first(2)).to eq(["00:00:01,000 → 00:00:03,700", "00:00:03,920 → 00:00:05,800"])
      document.reload.note(Operations::FileSettings, user, before: { "by" => "sentence", "options" => {} })
      Operations::FileSettings.last.undo(by: user)
      expect(document.reload.options["retimed"].size).to eq(1)
      before.reload.undo(by: user)
      expect(document.reload.options).not_to have_key("retimed")
    end

    it "are moved with all after them" do
      change(document.segments.second, shift: "0.5", rest: true)
      expect(times).to eq(["00:00:01,000 → 00:00:03,700", "00:00:04,300 → 00:00:06,300",
                           "00:00:06,500 → 00:00:07,500"])
    end

    it "are split where their text is, numbered anew, and joined" do
      first = document.segments.first
      post "/api/segments/#{first.id}/cut", params: { at: "Heavy things ".length }, as: :json
      expect(document.segments.reload.map { |one| one.source_content.text })
        .to eq(["Heavy things", "go low,", "never on the front rack.", "Tighten every strap."])
      expect(document.reload.opened.write({})).to include("\n\n4\n00:00:06,000")
      expect(times.first(2)).to eq(["00:00:01,000 → 00:00:02,760", "00:00:02,840 → 00:00:03,700"])
      delete "/api/segments/#{document.segments.first.id}/cut"
      expect(document.segments.reload.count).to eq(3)
      expect(times.first).to eq("00:00:01,000 → 00:00:03,700")
    end

    it "keep both translations, with their history, when they are joined" do
      first, second, = document.segments.to_a
      first.confirm("Le cose pesanti in basso,", origin: { "kind" => "typed" }, by: user)
      second.confirm("mai sul davanti.", origin: { "kind" => "typed" }, by: user)
      delete "/api/segments/#{first.id}/cut"
      joined = document.segments.reload.first
      expect(joined).to have_attributes(target: "Le cose pesanti in basso, mai sul davanti.", state: "draft")
      expect(joined.versions.map(&:target)).to include("Le cose pesanti in basso,", "mai sul davanti.")
      Operations::CueTimes.last.undo(by: user)
      perform_enqueued_jobs
      expect(document.segments.reload.first(2).map { |one| [one.target, one.state] }).to eq(
        [["Le cose pesanti in basso,", "translated"], ["mai sul davanti.", "translated"]]
      )
    end

    it "refuse what cannot be: fixed times, no time at all, no room, a time before the film, a format" do
      segment = document.segments.second
      codes = [{ start: "soon" }, { start: "00:00:05.990" }, { shift: "-9" }].map { |given|
        change(segment, **given)
        body.dig("error", "code")
      }
      project.update!(times_fixed: true)
      change(segment, start: "3.9")
      codes << body.dig("error", "code")
      project.update!(times_fixed: false)
      document.update!(format: "HTML")
      change(segment, start: "3.9")
      expect(codes + [body.dig("error", "code")])
        .to eq(%w[time-broken cue-no-room cue-negative times-fixed times-format])
      expect(document.reload.options["retimed"]).to be_nil
    end
  end

  it "keep their film in a newer version, whose times are its own" do
    give(webm, "any.webm")
    document.update!(options: { "retimed" => [{ "act" => "shift", "from" => 1, "to" => 3,
                                                "by" => "1.000" }] })
    post "/api/documents/#{document.id}/version",
      params: { files: [upload(cues.sub("strap", "belt"), "film.srt")] }
    made = project.documents_of_any_role.find_by(replaces_id: document.id)
    expect(made.options).not_to have_key("retimed")
    made.film.purge
    expect(document.reload.film.download.bytesize).to eq(webm.bytesize)
  end
end
