# The serving side of the protocol over the stand-ins’ shelves, and what the asking side reads from its
# answers.
require_relative "../../../standin/shelf"

RSpec.describe Glossema::Remote::Service do
  let(:memory) do
    StandIn::Shelf.new(%w[en it], [["Always wear a helmet.", "Indossare sempre il casco."],
                                   ["Charge the battery {fully}.",
                                    "Caricare {del tutto} la batteria."]], by: "Open")
  end
  let(:termbase) { StandIn::TermShelf.new([%w[en it], %w[helmet casco], %w[battery batteria]]) }
  let(:may) { "write" }
  let(:holder) do
    item = lambda do |id, kind|
      Glossema::Remote::Item.new(id: id, kind: kind, name: id, languages: %w[en it], size: 2, may: may)
    end
    shelves = { item["m", "memory"] => memory, item["t", "termbase"] => termbase }
    left = [5]
    Class.new do
      define_method(:name) { "Here" }
      define_method(:opened) { |key| key == "k" ? shelves : nil }
      define_method(:spend) { |_, count| (left[0] -= count) >= 0 }
    end.new
  end

  def ask(method, path, key: "k", **more) = described_class.new(holder).answer(method, path, key: key, **more)
  def error(...) = ask(...).then { |status, value| [status, value.dig("error", "code")] }
  def pair(**more) = { "source_lang" => "en-GB", "target_lang" => "it-IT", **more.transform_keys(&:to_s) }
  def answers = Glossema::Remote::Answers

  it "says what it holds, in its own words and as it is read" do
    _, value = ask("GET", "")
    expect(value).to include("protocol" => "glossema-remote", "version" => 1, "name" => "Here")
    read = answers.description(JSON.parse(JSON.generate(value)), host: "x")
    expect(read.items.map { |item| [item.id, item.kind, item.languages, item.may] })
      .to eq([["m", "memory", %w[en it], "write"], ["t", "termbase", %w[en it], "write"]])
    expect(read.items.first.holds?("en-US", "it")).to be(true)
    expect(read.items.first.holds?("it", "en")).to be(false)
  end

  it "gives units for several texts at once, which are judged where they are asked for" do
    queries = [{ "source" => "Always wear a helmet." }, "Charge the battery.", "Nothing like it at all"]
    _, value = ask("POST", "memories/m/matches", body: pair(queries: queries))
    units = answers.matches(JSON.parse(JSON.generate(value)), 3, host: "x")
    expect(units.map(&:size)).to eq([1, 1, 0])
    held = Glossema::Remote::Held.new(units[1], id: 7, name: "There", language_pair: %w[en it], penalty: 2)
    query = Glossema::Matching::Query.new(content: Glossema::Content.text("Charge the battery."),
      source_lang: "en", target_lang: "it")
    match = Glossema::Matching::Lookup.new([held]).matches(query, threshold: 50).first
    expect([match.kind, match.penalties, match.target.text]).to eq(
      ["fuzzy", [["memory", 2]], "Caricare {del tutto} la batteria."]
    )
  end

  it "finds words, and goes through all units page by page" do
    _, found = ask("POST", "memories/m/concordance", body: { "text" => "helmet" })
    expect(found["units"].map { |unit| unit["target"] }).to eq(["Indossare sempre il casco."])
    _, first = ask("GET", "memories/m/units", query: { "limit" => "1" })
    expect([first["units"].size, first["more"]]).to eq([1, true])
    _, rest = ask("GET", "memories/m/units", query: { "after" => first["units"].last["id"] })
    expect([rest["units"].size, rest["more"]]).to eq([1, false])
  end

  it "learns a unit once, and what it says anew when it comes again" do
    unit = { "id" => "abc", "source" => "Sit down.", "target" => "Sedersi.", "author" => "Ines" }
    told = [unit, unit, unit.merge("target" => "Si sieda.")].map do |one|
      ask("POST", "memories/m/units", body: { "units" => [one] }).last["learned"]
    end
    expect([told, memory.size]).to eq([[1, 0, 1], 3])
    _, value = ask("POST", "memories/m/matches", body: pair(queries: ["Sit down."]))
    expect(value["results"][0][0]).to include("target" => "Si sieda.", "author" => "Ines")
  end

  it "finds terms with their entries, and takes in new ones" do
    texts = ["The helmet and the battery", "Nothing"]
    _, value = ask("POST", "termbases/t/terms", body: pair(texts: texts))
    found = answers.terms(JSON.parse(JSON.generate(value)), texts, host: "x")
    expect(found.map { |list| list.map { |one| [one.from, one.to, one.entry.targets("en")] } })
      .to eq([[[4, 10, ["casco"]], [19, 26, ["batteria"]]], []])
    entry = { "sections" => [{ "lang" => "en", "terms" => [{ "text" => "saddle" }] }] }
    expect(ask("POST", "termbases/t/entries", body: { "entries" => [entry] }).last).to eq("learned" => 1)
    expect(ask("GET", "termbases/t/entries", query: { "after" => "2" }).last["entries"].size).to eq(1)
  end

  it "refuses in a code and a sentence what cannot be, and changes nothing" do
    one = { "source" => "a", "target" => "b" }
    {
      ["GET", "", { key: "other" }] => [401, "key"],
      ["GET", "memories/x/units", {}] => [404, "not-found"],
      ["POST", "memories/m/dance", { body: {} }] => [404, "not-found"],
      ["POST", "memories/m/matches", { body: [] }] => [400, "json"],
      ["POST", "memories/m/matches", { body: { "queries" => ["a"] } }] => [422, "pair"],
      ["POST", "memories/m/matches", { body: pair(queries: []) }] => [422, "amount"],
      ["POST", "memories/m/matches", { body: pair(queries: ["a"] * 51) }] => [422, "amount"],
      ["POST", "memories/m/matches", { body: pair(queries: ["a"] * 6) }] => [429, "limit"],
      ["POST", "memories/m/concordance", { body: { "text" => "" } }] => [429, "limit"],
      ["POST", "memories/m/units", { body: { "units" => [one.except("target")] } }] => [422, "unit"],
      ["POST", "memories/m/units", { body: { "units" => [one.merge("target" => " ")] } }] => [422, "unit"],
      ["POST", "termbases/t/entries", { body: { "entries" => [5] } }] => [422, "entry"],
      ["POST", "termbases/t/entries", { body: { "entries" => [{ "sections" => [3] }] } }] => [422, "entry"]
    }.each { |(method, path, more), code|
      expect(error(method, path, **more)).to eq(code),
        [path, more].inspect
    }
    expect([memory.size, termbase.size]).to eq([2, 2])
  end

  context "with a key to read" do
    let(:may) { "read" }

    it "writes nothing" do
      expect(error("POST", "memories/m/units", body: { "units" => [] })).to eq([403, "read-only"])
      expect(error("POST", "termbases/t/entries", body: { "entries" => [] })).to eq([403, "read-only"])
    end
  end

  it "believes no answer that is none" do
    refusal = lambda do |&work|
      work.call && nil
    rescue Glossema::Refused => e
      e.code
    end
    expect(refusal.call { answers.description({ "service" => "weather" }, host: "x") }).to eq("remote-other")
    expect(refusal.call {
      answers.description({ "protocol" => "glossema-remote", "version" => 9 }, host: "x")
    })
      .to eq("remote-version")
    [nil, [], { "results" => [] }, { "results" => "x" }].each do |value|
      expect(refusal.call { answers.matches(value, 1, host: "x") }).to eq("remote-garbled")
    end
    expect(refusal.call { answers.learned({ "learned" => "3" }, host: "x") }).to eq("remote-garbled")
    strange = [{ "source" => "a" }, 5, { "source" => "a\u0000", "target" => "b" },
               { "source" => "{1}", "target" => "x" }]
    expect(answers.matches({ "results" => [strange] }, 1, host: "x")[0].map(&:source)).to eq(["a"])
    many = [{ "source" => "a", "target" => "b" }] * 1000
    expect(answers.matches({ "results" => [many] }, 1, most: 6, host: "x")[0].size).to eq(6)
    entry = { "sections" => [{ "lang" => "en", "terms" => [{ "text" => "b" }] }] }
    places = [[1, "1"], [99, "1"], [1, "2"]].map { |to, id| { "from" => 0, "to" => to, "entry" => id } }
    found = { "entries" => { "1" => entry, "2" => 7 }, "results" => [places] }
    expect(answers.terms(found, ["b c"], host: "x")[0].map(&:to)).to eq([1])
  end
end
