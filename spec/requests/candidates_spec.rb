# Candidates of a termbase: found in a project, a memory or files with their likeliest translation, and
# decided about one by one.
RSpec.describe "Candidates" do
  let(:user) { make_user }
  let(:termbase) { user.termbases.create!(name: "Tarnholt") }
  let(:memory) do
    make_memory(user, [["Check the brake pads.", "Controllare le pastiglie dei freni."],
                       ["Worn brake pads squeal.", "Le pastiglie dei freni consumate stridono."],
                       ["Fold the kickstand up.", "Ripiegare il cavalletto."],
                       ["The kickstand carries it.", "Il cavalletto lo regge."]])
  end
  let(:text) do
    "Look at the brake pads.\n\nClean the brake pads.\n\nThe kickstand sticks.\n\nOil the kickstand."
  end

  before { sign_in(user) }

  def look(**params)
    perform_enqueued_jobs { post "/api/termbases/#{termbase.id}/candidates", params: params }
    waiting
  end

  def waiting(state = "waiting")
    get "/api/termbases/#{termbase.id}/candidates", params: { state: state }
    body["candidates"].to_h { |one| [one["text"], one] }
  end

  def decide(candidate, **params)
    patch "/api/term_candidates/#{candidate["id"]}", params: params, as: :json
    body
  end

  it "are found in a project, with what its memories say they are translated as" do
    project = make_project(user, text, name: "b.txt",
      memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
    found = look(project_id: project.id)
    expect(found.transform_values { |one| one["translation"] }).to include(
      "brake pads" => "pastiglie dei freni", "kickstand" => "cavalletto"
    )
    expect(found["brake pads"]).to include("count" => 2, "lang" => "en-GB", "target_lang" => "it-IT",
      "examples" => ["Look at the brake pads.", "Clean the brake pads."])
    expect(body["search"]).to include("summary" => project.name, "result" => { "found" => found.size })
  end

  it "are found in a memory and in files" do
    expect(look(memory_id: memory.id)).to include("brake pads", "kickstand")
    TermCandidate.delete_all
    found = look(file: upload(text, "b.txt"), source_lang: "en-GB", target_lang: "it-IT")
    expect(found["kickstand"]["translation"]).to eq("cavalletto")
  end

  it "are accepted as they were left, put off and refused for good, and each decision can be taken back" do
    found = look(memory_id: memory.id)
    decide(found["brake pads"], accept: { source: "brake pad", target: "pastiglia del freno" })
    entry = termbase.entries.there.first.entry
    expect(entry.sections.map { |one| [one.lang, one.terms.map(&:text)] }).to eq(
      [["en-GB", ["brake pad"]], ["it-IT", ["pastiglia del freno"]]]
    )
    decide(found["kickstand"], state: "refused")
    expect(waiting.keys & ["brake pads", "kickstand"]).to eq([])
    expect(waiting("refused").keys).to eq(["kickstand"])
    expect(look(memory_id: memory.id).keys & ["brake pads", "kickstand"]).to eq([])
    decide(found["brake pads"], state: "later")
    expect(termbase.entries.there.count).to eq(0)
    expect(waiting("later").keys).to eq(["brake pads"])
  end

  it "go with the look that found them, but for those decided about" do
    found = look(memory_id: memory.id)
    decide(found["kickstand"], state: "refused")
    Operations::TermSearch.find_by(subject: termbase).undo
    expect(waiting).to eq({})
    expect(waiting("refused").keys).to eq(["kickstand"])
  end

  it "are not made of nothing, and what is wrong is said" do
    perform_enqueued_jobs do
      post "/api/termbases/#{termbase.id}/candidates",
        params: { file: upload("%PDF-1.4 damaged", "a.docx"), source_lang: "en", target_lang: "it" }
    end
    waiting
    expect(body["search"]).to include("state" => "failed", "message" => include("a.docx"))
    look(file: upload("\n\n", "empty.txt"), source_lang: "en", target_lang: "it")
    expect(body["search"]["message"]).to eq("empty.txt has no text to find term candidates in.")
    expect { Termbase::Look.new(Operations::TermSearch.last).run }.to raise_error(Glossema::Refused) { |error|
      expect(error.key).to eq("nothing-to-look-at")
    }
    post "/api/termbases/#{termbase.id}/candidates"
    expect(body["error"]["code"]).to eq("no-file")
    found = look(memory_id: memory.id)
    expect(decide(found["kickstand"], state: "lost")["error"]["code"]).to eq("candidate-state")
    refused = decide(found["kickstand"], accept: { source: "x", target: " " })
    expect(refused["error"]["code"]).to eq("term-missing")
  end
end
