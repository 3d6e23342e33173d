# Memories through the API: units in and out, searched, edited, tidied up, moved, and every act taken back.
RSpec.describe "Memories" do
  let(:user) { make_user }
  let(:pairs) do
    [
      ["Check the straps.", "Controllare le cinghie."],
      ["Ask your dealer.", "Rivolgersi al rivenditore."],
      ["Load at most {1}80 kg{/1}.", "Caricare al massimo {1}80 kg{/1}."]
    ]
  end
  let(:memory) { make_memory(user, pairs) }

  before { sign_in(user) }

  def units(**params) =
    get("/api/memories/#{memory.id}/units", params: params) && body["units"].map { |unit| unit["source"] }

  def kept = memory.units.order(:id).pluck(:source, :target, :client)

  def import(into, bytes, name, **params)
    perform_enqueued_jobs do
      post "/api/memories/#{into.id}/exchange", params: { file: upload(bytes, name), **params }
    end
    into.operations.order(:id).last
  end

  def found(memory, text)
    query =
      Glossema::Matching::Query.new(
        content: Glossema::Content.from_written(text),
        source_lang: "en-GB",
        target_lang: "it-IT"
      )
    Glossema::Matching::Lookup
      .new([Memory::Store.new(memory)])
      .matches(query, threshold: 70)
      .map { |match| match.target.text }
  end

  it "go out as TMX and come in again without doubling, and an import is taken back as one step" do
    tmx = fetch("/api/memories/#{memory.id}/exchange")
    fresh = user.memories.create!(name: "Copy", source_lang: "en-GB", target_lang: "it-IT")
    expect(import(fresh, tmx, "a.tmx")).to have_attributes(
      state: "done",
      result: include("read" => 3, "added" => 3)
    )
    expect(import(fresh, tmx, "a.tmx").result).to include("added" => 0, "same" => 3)
    columns = %w[source target author client created_at]
    expect(fresh.units.pluck(*columns)).to match_array(memory.units.pluck(*columns))
    expect(found(fresh, "Check the strap.")).to eq(["Controllare le cinghie."])
    undo(fresh.operations.order(:id).first)
    expect([fresh.units.count, found(fresh, "Check the straps.")]).to eq([0, []])
    undo(fresh.operations.order(:id).first)
    expect(body.dig("error", "code")).to eq("undone")
  end

  it "take in what can be read of a damaged file and say where it is damaged; refuse what is no such file" do
    tmx =
      "<tmx version=\"1.4\"><body>\n<tu><tuv xml:lang=\"en\"><seg>One.</seg></tuv><tuv " \
        "xml:lang=\"it\"><seg>Uno.</seg></tuv></tu>\n<tu><tuv xml:lang=\"en\"><seg>Two " \
        "<b></seg></tuv></tu>\n" \
        "<tu><tuv xml:lang=\"en\"><seg>Three.</seg></tuv><tuv " \
        "xml:lang=\"it\"><seg>Tre.</seg></tuv></tu>\n<tu><tuv"
    change = import(memory, tmx, "b.tmx")
    expect(change.result).to include("added" => 2)
    expect(change.result["faults"].map { |fault| fault["line"] }).to eq([3, 5, 5])
    expect(import(memory, "<html></html>", "c.tmx")).to have_attributes(
      state: "failed",
      message: /\Ac\.tmx is not a TMX file/
    )
    expect(import(memory, "just text", "d.txt")).to have_attributes(
      state: "failed",
      message: /d\.txt has no translations/
    )
    expect(memory.units.count).to eq(5)
    post "/api/memories/#{memory.id}/exchange", params: { file: upload("a;b", "e.csv"), columns: "{first" }
    expect(body.dig("error", "message")).to start_with("The columns of the table are not valid")
  end

  it "take in tables whose texts hold quotes, and list every row that gives no unit (unit-dropped)" do
    rows = ["en\tit", "\"Mal\" or \"Mau\"\t\"Mal\" o \"Mau\"", "12.5\t12,5", "Alone\t", "\tSolo",
            "Stop\tFermo"]
    result = import(memory, rows.join("\n"), "units.tsv",
      columns: { source_column: "en", target_column: "it" }.to_json).result
    expect(result).to include("added" => 2, "faulty" => 3)
    expect(result["faults"].map { |one| one.values_at("line", "message") }).to eq([
      [3, "The source has no letters: “12.5”."], [4, "“Alone” has no translation."],
      [5, "This row has no source text."]
    ])
    expect(memory.units.pluck(:source)).to include("\"Mal\" or \"Mau\"")
  end

  it "take in tables and XLIFF, and keep or replace a source that reads otherwise" do
    import(
      memory,
      "Saddle;Sella\nAsk your dealer.;Chiedere al rivenditore.\n",
      "terms.csv",
      columns: { source_column: "1", target_column: "2" }.to_json
    )
    expect(memory.units.where(source: "Ask your dealer.").pluck(:target)).to contain_exactly(
      "Rivolgersi al rivenditore.",
      "Chiedere al rivenditore."
    )
    xliff =
      "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\" target-language=\"it\" " \
        "datatype=\"x\"><body><trans-unit " \
        "id=\"1\"><source>Pedal</source><target>Pedale</target></trans-unit></body></file></xliff>"
    import(memory, xliff, "a.xlf")
    expect(memory.units.find_by(source: "Pedal").target).to eq("Pedale")
    newer =
      "<tmx version=\"1.4\"><body><tu changedate=\"20300101T000000Z\"><tuv xml:lang=\"en\"><seg>Check the " \
        "straps.</seg></tuv><tuv xml:lang=\"it\"><seg>Verificare le cinghie.</seg></tuv></tu></body></tmx>"
    change = import(memory, newer, "n.tmx", different: "newer")
    expect(memory.units.where(source: "Check the straps.").pluck(:target)).to eq(["Verificare le cinghie."])
    undo(change.id)
    expect(memory.units.where(source: "Check the straps.").pluck(:target)).to eq(["Controllare le cinghie."])
  end

  it "are searched by words and facets, edited in place with history, and changed in bulk, each undone" do
    expect(units(text: "dealer")).to eq(["Ask your dealer."])
    expect(units(text: "rivend", side: "target")).to eq(["Ask your dealer."])
    expect(units(client: "Tarnholt").size).to eq(3)
    get "/api/memories/#{memory.id}/facets", params: { text: "the" }
    expect(body["client"]).to eq([["Tarnholt", 1]])
    before = kept
    unit = memory.units.first
    patch "/api/units/#{unit.id}", params: { target: "Verificare le cinghie." }, as: :json
    edit = body["operation"]["id"]
    get "/api/units/#{unit.id}"
    expect(body["versions"].map { |version| version["target"] }).to eq(["Controllare le cinghie."])
    expect([units(text: "verificare"), units(text: "controllare")]).to eq([["Check the straps."], []])
    patch "/api/units/#{unit.id}", params: { target: " " }, as: :json
    expect(body.dig("error", "code")).to eq("unit-empty")
    undo(edit)
    post "/api/memories/#{memory.id}/changes",
      params: {
        kind: "bulk",
        search: {
          text: "the"
        },
        set: {
          client: "Pell & Rook"
        }
      },
      as: :json
    bulk = body["id"]
    expect(memory.units.pluck(:client).tally).to eq("Tarnholt" => 2, "Pell & Rook" => 1)
    post "/api/memories/#{memory.id}/changes",
      params: {
        kind: "delete",
        ids: memory.units.pluck(:id)
      },
      as: :json
    gone = body["id"]
    expect([memory.units.count, units(text: "dealer"), found(memory, "Ask your dealer.")]).to eq([0, [], []])
    [gone, bulk].each { |change| undo(change) }
    expect(kept).to eq(before)
    expect([units(text: "dealer"), found(memory, "Ask your dealer.")]).to eq(
      [["Ask your dealer."], ["Rivolgersi al rivenditore."]]
    )
  end

  it "are tidied up by what deserves a look" do
    memory.take_in(
      [
        ["Ask your dealer.", "Chiedere al rivenditore."],
        ["Keep the same words", "Keep the same words"],
        ["{1}Bold{/1} text", "Testo grassetto"],
        ["Short.", "Una traduzione che è molto, molto più lunga della sua fonte."]
      ].map do |source, target|
        Glossema::Exchange::Tmx::Pair.new(source: source, target: target, attributes: {})
      end
    )
    Memory::Writer.new(memory).add(source: "Check the straps.", target: "Controllare le cinghie.")
    get "/api/memories/#{memory.id}/tidy"
    expect(body).to eq(
      "duplicates" => 1,
      "contradictions" => 2,
      "empty" => 0,
      "untranslated" => 1,
      "codes" => 1,
      "lengths" => 1
    )
    expect(units(tidy: "contradictions")).to eq(["Ask your dealer."] * 2)
    post "/api/memories/#{memory.id}/changes",
      params: {
        kind: "delete",
        search: {
          tidy: "duplicates"
        }
      },
      as: :json
    expect(memory.units.where(source: "Check the straps.").count).to eq(1)
  end

  it "move many units in the background, with how far it is; stopped, what is left stays where it was" do
    stub_const("Operation::SMALL", 1)
    stub_const("Operation::RevertsUnits::SLICE", 10)
    other =
      make_memory(
        user,
        (1..40).map { |index| ["Bell number #{index}", "Campanello #{index}"] },
        name: "Other"
      )
    merge = -> do
      post("/api/memories/#{memory.id}/changes", params: { kind: "merge", from: other.id }, as: :json) &&
        Operation.find(body["id"])
    end
    change = merge.call
    expect([change.state, memory.units.count, other.reload.deleted_at.nil?]).to eq(["queued", 3, false])
    patch "/api/operations/#{change.id}", params: { state: "cancelled" }, as: :json
    perform_enqueued_jobs
    expect([change.reload.state, change.seconds_left, memory.units.count, other.reload.deleted_at]).to eq(
      ["cancelled", nil, 3, nil]
    )
    again = merge.call
    perform_enqueued_jobs
    expect([again.reload.state, again.result["added"], memory.units.count]).to eq(["done", 40, 43])
    undo(again.id)
    expect([body["state"], body["undoing"], again.reload.state]).to eq(["queued", true, "undone"])
    expect([memory.units.count, other.reload.units.count, other.deleted_at]).to eq([3, 40, nil])
    post "/api/memories/#{other.id}/changes",
      params: {
        kind: "bulk",
        search: {
          text: "bell"
        },
        set: {
          subject: "Bells"
        }
      },
      as: :json
    bulk = Operation.find(body["id"])
    perform_enqueued_jobs
    expect([bulk.reload.state, bulk.done, other.units.where(subject: "Bells").count]).to eq(["done", 40, 40])
    post "/api/memories/#{other.id}/changes",
      params: {
        kind: "delete",
        ids: other.units.limit(30).ids
      },
      as: :json
    perform_enqueued_jobs
    expect(other.units.count).to eq(10)
  end

  it "have the columns of a table guessed before its units are brought in" do
    table =
      "Key;italiano;English\na1;Serrare i bulloni.;Tighten the bolts.\na2;Suonare il campanello.;Ring the " \
        "bell.\n"
    post "/api/memories/#{memory.id}/table", params: { file: upload(table, "terms.csv") }
    expect(body).to include(
      "source" => "English",
      "target" => "italiano",
      "rows" => [
        ["a1", "Serrare i bulloni.", "Tighten the bolts."],
        ["a2", "Suonare il campanello.", "Ring the bell."]
      ]
    )
    perform_enqueued_jobs do
      post "/api/memories/#{memory.id}/exchange",
        params: {
          file: upload(table, "terms.csv"),
          columns: { source_column: "English", target_column: "italiano" }.to_json
        }
    end
    expect(units(text: "bolts")).to eq(["Tighten the bolts."])
    expect(memory.units.find_by(source: "Ring the bell.").target).to eq("Suonare il campanello.")
    post "/api/memories/#{memory.id}/table", params: { file: upload("Just a text.", "a.txt") }
    expect(body.dig("error", "code")).to eq("no-table")
  end

  it "are merged, split by client, renamed, deleted and brought back" do
    other =
      make_memory(
        user,
        [["Ask your dealer.", "Rivolgersi al rivenditore."], ["Ring the bell.", "Suonare il campanello."]],
        name: "Other"
      )
    other.units.last.update!(client: "Pell & Rook")
    post "/api/memories/#{memory.id}/changes", params: { kind: "merge", from: other.id }, as: :json
    merge = body["id"]
    expect([memory.units.count, found(memory, "Ring the bells.")]).to eq([4, ["Suonare il campanello."]])
    get "/api/memories"
    expect(body.map { |one| one["name"] }).to eq(["Tarnholt, delivered"])
    post "/api/memories/#{memory.id}/changes", params: { kind: "split", by: "client" }, as: :json
    expect(user.memories.present.pluck(:name)).to contain_exactly(
      "Tarnholt, delivered",
      "Tarnholt, delivered · Tarnholt",
      "Tarnholt, delivered · Pell & Rook"
    )
    expect(found(user.memories.find_by(name: "Tarnholt, delivered · Pell & Rook"), "Ring the bell.")).to eq(
      ["Suonare il campanello."]
    )
    Operations::MemorySplit.order(id: :desc).each { |split| undo(split) }
    expect(user.memories.present.pluck(:name)).to eq(["Tarnholt, delivered"])
    undo(merge)
    expect(
      [memory.units.count, other.reload.units.count, other.deleted_at, found(other, "Ring the bell.")]
    ).to eq([3, 2, nil, ["Suonare il campanello."]])
    patch "/api/memories/#{memory.id}", params: { name: "Other" }, as: :json
    expect(body.dig("error", "message")).to eq("Name is the name of another memory.")
    delete "/api/memories/#{other.id}"
    patch "/api/memories/#{memory.id}", params: { name: "Other" }, as: :json
    expect(memory.reload.name).to eq("Other")
    patch "/api/memories/#{other.id}", params: { name: "Another", deleted: false }, as: :json
    expect(body["name"]).to eq("Another")
  end

  it "are looked through for words, in order or not, in other endings, with the hits marked" do
    project = make_project(user, memories: [{ "memory_id" => memory.id }])
    look =
      lambda do |**params|
        get("/api/projects/#{project.id}/concordance", params: params)
        body["hits"].reject { |hit| hit["target"].empty? }.map do |hit|
          [hit["kind"], hit["source"], hit["marks"].map { |from, to| hit[hit["side"]][from...to] }]
        end
      end
    expect(look.call(text: "the straps")).to eq([["memory", "Check the straps.", ["the straps"]]])
    expect(body["hits"].last(2).map { |hit|
      hit.values_at("kind", "state")
    }).to eq([%w[project untouched]] * 2)
    expect(look.call(text: "straps check")).to eq([])
    expect(look.call(text: "straps check", way: "words")).to eq(
      [["memory", "Check the straps.", %w[Check straps]]]
    )
    expect(look.call(text: "checking strap", way: "alike")).to eq(
      [["memory", "Check the straps.", %w[Check straps]]]
    )
    expect(look.call(text: "rivenditore", side: "target")).to eq(
      [["memory", "Ask your dealer.", ["rivenditore"]]]
    )
    expect(look.call(text: "\" OR (")).to eq([])
    project.segments.last.confirm("Rivolgersi a noi.", origin: { "kind" => "typed" }, by: user)
    expect(look.call(text: "ask your dealer").map(&:first)).to include("project", "memory")
  end

  it "are looked through however a word is written, symbols as text, here and on the page of the memory" do
    { "Die Straße ist lang." => "La strada è lunga.", "A straight road, 50 %" => "Una strada dritta, 50 %",
      "They co\u00ADoperate." => "Cooperano." }.each do |source, target|
      Memory::Writer.new(memory).add(source: source, target: target)
    end
    project = make_project(user, memories: [{ "memory_id" => memory.id }])
    hits = lambda do |text, way|
      get "/api/projects/#{project.id}/concordance", params: { text: text, way: way }
      body["hits"].select { |hit| hit["kind"] == "memory" }.map { |hit| hit["source"] }
    end
    rows = lambda do |text|
      get "/api/memories/#{memory.id}/units", params: { text: text }
      body["units"].map { |unit| unit["source"] }
    end
    [->(text) { hits.call(text, "phrase") }, rows].each do |found|
      expect(found.call("strasse")).to eq(["Die Straße ist lang."])
      expect(found.call("cooperate")).to eq(["They co\u00ADoperate."])
      expect(found.call("%")).to eq(["A straight road, 50 %"])
      expect(found.call("*")).to eq([])
    end
    expect(hits.call("Straße", "alike")).to eq(["Die Straße ist lang."])
  end

  it "unlearn what a confirmation taught that is taken back, and keep what others taught" do
    project = make_project(user)
    own = project.memories.first
    first, second = project.segments.where(source: "Check the straps again.").to_a
    take_back = ->(segment) {
      patch "/api/segments/#{segment.id}", params: { target: "", withdrawn: true }, as: :json
    }
    learned = -> { own.units.where(source: "Check the straps again.").pluck(:target) }
    first.confirm("Ricontrollare.", origin: { "kind" => "typed" }, by: user)
    second.reload.confirm("Ricontrollare.", origin: { "kind" => "typed" }, by: user)
    take_back.call(first)
    expect(learned.call).to eq(["Ricontrollare."])
    take_back.call(second.reload)
    expect(learned.call).to eq([])
    first.reload.confirm("Uno.", origin: { "kind" => "typed" }, by: user)
    first.confirm("Due.", origin: { "kind" => "typed" }, by: user)
    take_back.call(first.reload)
    expect(learned.call).to eq(["Uno."])
    expect(found(own, "Check the straps again.")).to eq(["Uno."])
  end

  it "have texts replaced and authors set in many units at once, found by the new words, and undone" do
    ask = lambda do |**params|
      post "/api/memories/#{memory.id}/changes", params: params, as: :json
      body.key?("error") ? body["error"]["code"] : finish
    end
    before = memory.units.order(:id).pluck(:target)
    replaced = ask.call(kind: "replace", search: { text: "" },
      replace: { find: "(cingh)ie", with: "$1iette", regex: true, side: "target" })
    expect(memory.units.pluck(:target)).to include("Controllare le cinghiette.")
    get "/api/memories/#{memory.id}/units", params: { text: "cinghiette" }
    expect(body["count"]).to eq(1)
    undo(replaced)
    expect(memory.units.order(:id).pluck(:target)).to eq(before)
    ask.call(kind: "bulk", search: { text: "straps" }, set: { author: "Anneke Vos" })
    expect(memory.units.where(author: "Anneke Vos").pluck(:source)).to eq(["Check the straps."])
    expect(ask.call(kind: "replace", search: { text: "" }, replace: { find: "(", regex: true }))
      .to eq("find-pattern")
  end

  it "keep repeats together, ask when one changes, and leave alone what is exempt" do
    project = make_project(user)
    first, second = project.segments.where(source: "Check the straps again.").to_a
    say =
      lambda do |segment, target|
        patch "/api/segments/#{segment.id}", params: { target: target, confirm: true }, as: :json
        body
      end
    user.update!(preferences: { "confirm_repeats" => true })
    expect(
      say.call(first, "Ricontrollare le cinghie.")["repeats"].map { |one| one.values_at("id", "state") }
    ).to eq([[second.id, "translated"]])
    delete "/api/segments/#{first.id}/repeats"
    expect(second.reload).to have_attributes(target: "", state: "untouched")
    say.call(first, "Ricontrollare le cinghie.")
    expect(say.call(first, "Verificare di nuovo.")["others"]).to eq(1)
    expect(second.reload.target).to eq("Ricontrollare le cinghie.")
    post "/api/segments/#{first.id}/repeats"
    expect(second.reload.target).to eq("Verificare di nuovo.")
    delete "/api/segments/#{first.id}/repeats"
    expect(second.reload).to have_attributes(target: "Ricontrollare le cinghie.", state: "translated")
    patch "/api/segments/#{second.id}", params: { exempt: true }, as: :json
    expect(second.reload).to have_attributes(exempt: true, target: "Ricontrollare le cinghie.")
    expect(say.call(first, "Ancora una volta.")).to include("others" => 0, "repeats" => [])
  end
end
