# Completion: what is known of a segment before a key is pressed, from memories, the project and terms.
RSpec.describe "Completion" do
  let(:user) { make_user }
  let(:memory) do
    make_memory(user, [["Check the front wheel.", "Controllare la ruota anteriore."],
                       ["The rear wheel is heavy.", "La ruota posteriore è pesante."]])
  end
  let(:project) do
    text = "Check the rear wheel.\n\nCheck the chain.\n\nFit the Wren 24 at 1,250 m."
    make_project(user, text, name: "b.txt", memories: [{ "memory_id" => memory.id, "learns" => "confirm" }])
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    sign_in(user)
    Rails.cache.clear
  end

  def context(segment)
    get "/api/segments/#{segment.id}/completion_context"
    Glossema::Completion::CompletionContext.new(**body.except("machine"))
  end

  def offered(segment, prefix)
    Glossema::Completion::Ahead.new(context(segment)).offers(prefix).map(&:text)
  end

  it "comes from memories once they are learned, in the background, and is kept right as units are added" do
    expect(offered(segments[2], "Contr")).to eq([])
    expect(LearnMemoryJob).to have_been_enqueued.with(memory)
    Memory::Learned.new(memory).learn
    expect(offered(segments[2], "Contr").first).to start_with("ollare")
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(source: "Mind the chain.",
      target: "Attenzione alla catena.", attributes: {})])
    expect(offered(segments[1], "Att").first).to start_with("enzione")
    expect(Memory::Learned.new(memory)).to be_stale
  end

  it "comes from the matches of the segment, before anything is learned" do
    made = make_project(user, "Check the front wheel now.", name: "c.txt",
      memories: [{ "memory_id" => memory.id, "learns" => "never" }])
    expect(offered(made.segments.first, "Contr").first).to start_with("ollare")
    expect(offered(made.segments.first, "Controllare la ruota").first).to eq(" anteriore")
  end

  it "comes from what was confirmed in the project itself" do
    expect(offered(segments[1], "Ver")).to eq([])
    segments[0].confirm("Verificare la ruota posteriore.", origin: { "kind" => "typed" }, by: user)
    expect(offered(segments[1], "Ver").first).to start_with("ificare")
  end

  it "comes from terms, figures and names, each of which can be left out" do
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id }])
    entry = Glossema::Terms::Entry.new(
      sections: { "en" => "rear wheel", "it" => "ruota dietro" }.map do |lang, text|
        Glossema::Terms::Section.new(lang: lang, terms: [Glossema::Terms::Term.new(text: text)])
      end
    )
    termbase.record_change(Operations::TermAddition, by: user) { |recorder| recorder.add(entry) }
    expect(context(segments[0]).things.map { |thing| thing.first(2) }).to include(["ruota dietro", "term"])
    expect(context(segments[2]).things.map { |thing| thing.first(2) }).to include(["1.250 m", "carried"],
      %w[Wren source])
    patch "/api/settings", params: { preferences: { completion_without: %w[terms carried source] } },
      as: :json
    expect(context(segments[0]).things).to eq([])
    patch "/api/settings", params: { preferences: { completion_without: %w[guesses] } }, as: :json
    expect(body["error"]["code"]).to eq("preference-wrong")
  end

  it "draws from what the machine gave, once it gave it", :stand_in do
    project.attach([])
    project.update!(client: user.clients.create!(name: "Tarnholt", machine: true))
    user.machine_services.create!(name: "Stand-in", address: stand_in("translate"), key: WithStandIn::KEY,
      active: true, **Machine::TEMPLATES["lists"].symbolize_keys)
    before = asked
    context = ->(fields = nil) {
      get "/api/segments/#{segments[0].id}/completion_context" and body.values_at(*fields)
    }
    expect(context[%w[machine like]]).to eq([false, []])
    expect(asked).to eq(before)
    get "/api/segments/#{segments[0].id}/machine"
    given = body["proposal"]["target"]
    expect(context["machine"]).to eq([true])
    expect(offered(segments[0], given[0, 2])).to include(start_with(given[2..5]))
    patch "/api/settings", params: { preferences: { completion_without: %w[machine] } }, as: :json
    expect(context[%w[machine like]]).to eq([nil, []])
  end

  it "is nobody else's" do
    sign_in(make_user("Anneke Vos"))
    get "/api/segments/#{segments[0].id}/completion_context"
    expect(response).to have_http_status(:not_found)
  end
end
