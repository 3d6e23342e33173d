# Two finished documents become a memory: dropped, aligned, put right, confirmed, given away, taken back.
RSpec.describe "Alignments" do
  let(:user) { make_user }
  let(:english) do
    page("Course page, spring", "What you will make",
      "The kiln is fired to 980 °C. Bring an apron and a towel for the clay.",
      "Prices include clay, glazes and both firings.", "Ask Ada Rook at Mill Lane 12.")
  end
  let(:italian) do
    page("Pagina del corso, primavera", "Che cosa realizzerete",
      "Il forno arriva a 980 °C. Portate un grembiule e un asciugamano per l’argilla.",
      "I prezzi comprendono argilla, smalti e cotture.", "Chiedete ad Ada Rook, Mill Lane 12.")
  end
  let(:alignment) { user.alignments.last }

  before { sign_in(user) }

  def page(title, *texts) = "<h1>#{title}</h1>#{texts.map { |text| "<p>#{text}</p>" }.join}"

  def drop(files = { "course-en.html" => english, "course-it.html" => italian }, **more)
    perform_enqueued_jobs do
      post "/api/alignments", params: { files: files.map { |name, bytes| upload(bytes, name) }, **more }
    end
    body
  end

  def beads
    get "/api/alignments/#{alignment.id}"
    body["beads"].map { |bead| %w[source target].map { |side| bead[side].map { |item| item["text"] } } }
  end

  def edit(act, at, **more)
    post "/api/alignments/#{alignment.id}/edits", params: { act: act, at: at, **more }, as: :json
    body
  end

  it "are made of dropped files, their languages and partners found" do
    more = { "guide.html" => english.gsub("Course", "Guide").gsub("kiln", "wheel"),
             "guide_it.html" => italian.gsub("corso", "guida") }
    made = drop({ "course-en.html" => english, "course-it.html" => italian, **more })["alignments"]
    expect(made.map { |one| one.values_at("source_file", "target_file") }).to eq(
      [%w[course-en.html course-it.html], %w[guide.html guide_it.html]]
    )
    get "/api/alignments"
    expect(body.map { |one|
      one.values_at("state", "source_lang", "target_lang")
    }.uniq).to eq([%w[ready en-GB it-IT]])
    expect(body.last["counts"]).to include("pairs" => 6, "confirmed" => 0)
    expect(beads.first).to eq([["Guide page, spring"], ["Pagina del guida, primavera"]])
  end

  {
    "align-few" => { "a.html" => "<p>One sentence that is long enough to be told.</p>" },
    "align-same" => { "a.html" => "<p>The same text twice.</p>", "b.html" => "<p>The same text twice.</p>" },
    "align-languages" => { "a.html" => "<p>The kiln is fired twice, and then it cools all night.</p>",
                           "b.html" => "<p>The clay is mixed with water, and then it rests for a week.</p>" },
    "no-text" => { "a.html" => "<p>The kiln is fired twice, and then it cools.</p>", "b.html" => "<p></p>" }
  }.each do |code, files|
    it "refuses #{files.size} files: #{code}" do
      expect(drop(files)["error"]["code"]).to eq(code)
      expect(user.alignments).to be_empty
    end
  end

  it "says where two files hardly belong together" do
    course = Rails.root.join("demo/texts/course-en.html").read
    other = Rails.root.join("demo/texts/manual.tsv").readlines.filter_map { |line| line.chomp.split("\t")[2] }
    drop({ "a.html" => course, "b.html" => page(*other.first(60)) }, source_lang: "en", target_lang: "it")
    expect(alignment.message).to include("Check that you chose the right files")
  end

  it "are put right by hand, each act with a way back and forth" do
    drop
    before = beads
    told = edit("join", 2)["replaced"]
    expect(told.first).to include("at" => 2, "count" => 2)
    joined = beads
    expect(joined.size).to be < before.size
    delete "/api/alignments/#{alignment.id}/edits"
    expect(body["alignment"]).to include("can_undo" => false, "can_redo" => true)
    expect(beads).to eq(before)
    patch "/api/alignments/#{alignment.id}/edits", as: :json
    expect(beads).to eq(joined)
    edit("write", 0, side: "target", index: 0, text: "Pagina del corso")
    expect(beads.first.last).to eq(["Pagina del corso"])
    expect(edit("cut", 0, side: "target", index: 0, offset: 0)["error"]["code"]).to eq("bead-cut")
    edit("note", 0, note: "ask Ada")
    get "/api/alignments/#{alignment.id}"
    expect(body["beads"].first["note"]).to eq("ask Ada")
  end

  it "give what is confirmed to a memory, with who, files and neighbours, which is taken back in one step" do
    drop
    post "/api/alignments/#{alignment.id}/gift", params: { name: "Courses" }, as: :json
    expect(body["error"]["code"]).to eq("align-none")
    post "/api/alignments/#{alignment.id}/edits", params: { above: 0.5 }, as: :json
    confirmed = body["alignment"]["counts"]["confirmed"]
    expect(confirmed).to be >= 4
    patch "/api/alignments/#{alignment.id}", params: { subject: "Pottery" }, as: :json
    perform_enqueued_jobs {
      post "/api/alignments/#{alignment.id}/gift", params: { name: "Kilns" }, as: :json
    }
    memory = user.memories.find_by(name: "Kilns")
    expect(memory.units.count).to eq(confirmed)
    unit = memory.units.find_by(source: "What you will make")
    expect(unit).to have_attributes(target: "Che cosa realizzerete", origin: "aligned", subject: "Pottery",
      author: user.name, file: "course-en.html · course-it.html", previous_hash: a_kind_of(Integer),
      next_hash: a_kind_of(Integer))
    get "/api/alignments/#{alignment.id}"
    expect(body["alignment"]["gift"]).to include("added" => confirmed, "same" => 0, "state" => "done")
    undo(body["alignment"]["gift"]["operation"])
    get "/api/alignments/#{alignment.id}"
    expect(body["alignment"]["gift"]).to be_nil
    expect(memory.units.count).to eq(0)
    other = user.memories.create!(name: "Dutch", source_lang: "en-GB", target_lang: "nl-NL")
    post "/api/alignments/#{alignment.id}/gift", params: { memory_id: other.id }, as: :json
    expect(body["error"]["code"]).to eq("pair-wrong")
  end

  it "serve a project as its older translation at once" do
    project = make_project(user, page("Course page, autumn", "What you will make"), name: "new.html")
    files = { "old-en.html" => english, "old-it.html" => italian }.map { |name, bytes| upload(bytes, name) }
    perform_enqueued_jobs { post "/api/alignments", params: { project_id: project.id, files: files } }
    memory = alignment.reload.memory
    expect(project.attachments.reload.map(&:memory)).to include(memory)
    expect(memory.units.pluck(:source)).to include("What you will make")
    segment = project.segments.find_by(source: "What you will make")
    get "/api/segments/#{segment.id}/proposals"
    expect(body["proposals"].first).to include("target" => "Che cosa realizzerete", "score" => a_value >= 95)
  end

  it "are aligned anew in another language, and stay as they are in another region" do
    drop
    edit("confirm", 0)
    patch "/api/alignments/#{alignment.id}", params: { target_lang: "it-CH" }, as: :json
    expect(alignment.reload).to have_attributes(state: "ready", target_lang: "it-CH")
    expect(alignment.counts[:confirmed]).to eq(1)
    perform_enqueued_jobs {
      patch "/api/alignments/#{alignment.id}", params: { target_lang: "es" }, as: :json
    }
    expect(alignment.reload.counts[:confirmed]).to eq(0)
  end

  it "are begun again after a restart" do
    drop
    alignment.update!(state: "aligning", beads: [])
    perform_enqueued_jobs { Alignment.resume }
    expect(alignment.reload.state).to eq("ready")
    expect(beads.size).to be >= 5
  end

  it "leave as TMX and XLSX, and go away" do
    drop
    edit("confirm", 1)
    get "/api/alignments/#{alignment.id}", params: { as: "tmx" }
    expect(response.body.force_encoding("UTF-8")).to include("Che cosa realizzerete").and include("aligned")
    get "/api/alignments/#{alignment.id}", params: { as: "xlsx" }
    expect(response.body).to start_with("PK")
    delete "/api/alignments/#{alignment.id}"
    expect(user.alignments).to be_empty
  end
end
