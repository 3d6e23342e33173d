# Pretranslation: a look at what would come from where, the writing, and one step back.
RSpec.describe "Pretranslation" do
  let(:user) { make_user }
  let(:memory) do
    make_memory(user, [["Check the brake pads.", "Controllare le pastiglie."],
                       ["Ride at 25 km/h.", "Andare a 25 km/h."],
                       ["Check the front wheel today.", "Controllare oggi la ruota anteriore."]])
  end
  let(:project) do
    texts = ["Check the brake pads.", "Ride at 30 km/h.", "Check the front wheel.", "Nothing like it.",
             "Typed already."]
    memories = [{ "memory_id" => memory.id, "learns" => "never" }]
    made = make_project(user, texts.join("\n\n"), name: "b.txt", memories: memories)
    typed = made.segments.find_by(source: "Typed already.")
    typed.keep_draft("Scritto", origin: { "kind" => "typed" }, by: user)
    made
  end

  before { sign_in(user) }

  def look(**params)
    perform_enqueued_jobs { post "/api/projects/#{project.id}/pretranslations", params: params, as: :json }
    get "/api/pretranslations/#{body["id"]}"
    body
  end

  def write(act)
    perform_enqueued_jobs { patch "/api/pretranslations/#{act["id"]}" }
    get "/api/pretranslations/#{act["id"]}"
    body
  end

  def told = project.segments.order(:position).map { |one| [one.target, one.state] }

  it "looks first, in words by origin, writes drafts, and is taken back in one step" do
    act = look(threshold: 70)
    expect(act["facts"]).to include("state" => "looked", "total" => 4)
    expect(act["facts"]["origins"].transform_values { |one| one["segments"] }).to eq(
      "context" => 0, "exact" => 1, "adapted" => 1, "fuzzy" => 1, "machine" => 0, "none" => 1
    )
    expect(act["facts"]["origins"]["exact"]).to eq("segments" => 1, "words" => 4)
    expect(told.map(&:first)).to eq(["", "", "", "", "Scritto"])
    expect(write(act)["facts"]).to include("state" => "done", "written" => 3)
    expect(told).to eq([["Controllare le pastiglie.", "draft"], ["Andare a 30 km/h.", "draft"],
                        ["Controllare oggi la ruota anteriore.", "draft"], ["", "untouched"],
                        %w[Scritto draft]])
    first, second = project.segments.order(:position).first(2)
    expect(first.origin).to include("kind" => "memory", "score" => 100, "memory" => memory.name)
    second.keep_draft("Andare piano.", origin: { "kind" => "typed" }, by: user)
    get "/api/projects/#{project.id}/acts"
    delete "/api/projects/#{project.id}/acts/#{body.first["id"]}"
    expect(told.map(&:first)).to eq(["", "Andare piano.", "", "", "Scritto"])
  end

  it "takes only what is good enough, of some segments, and confirms what she lets it" do
    ids = project.segments.order(:position).first(3).map(&:id)
    write(look(threshold: 95, segment_ids: ids, confirms: "exact"))
    expect(told.map(&:last)).to eq(%w[translated draft untouched untouched draft])
    expect(Segment.find(ids[0]).confirmed_at).to be_present
    write(look(threshold: 60, which: "unfinished"))
    expect(told[2]).to eq(["Controllare oggi la ruota anteriore.", "draft"])
    expect(told[4]).to eq(%w[Scritto draft])
  end

  it "gives by several processes what it gives by one" do
    ids = project.segments.order(:position).ids
    asked = { "project" => project.id, "threshold" => 60, "ids" => ids, "count" => 2 }
    shares = Array.new(2) { |turn| Pretranslation::Search.share(asked.merge("turn" => turn)) }
    expect(shares.reduce(:merge)).to eq(Pretranslation::Search.new(project, 60).run(ids))
    expect(shares.map(&:size)).to eq([2, 1])
  end

  it "leaves no trace of a look that is dropped, and says what cannot be" do
    act = look
    delete "/api/pretranslations/#{act["id"]}"
    expect(project.acts.where(kind: "pretranslation").count).to eq(0)
    post "/api/projects/#{project.id}/pretranslations", params: { segment_ids: [0] }, as: :json
    expect(body["error"]["code"]).to eq("nothing-to-translate")
    post "/api/projects/#{project.id}/pretranslations", as: :json
    patch "/api/pretranslations/#{body["id"]}"
    expect(body["error"]["code"]).to eq("look-first")
  end
end
