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

  def preview(**params)
    post "/api/projects/#{project.id}/pretranslation", params: params, as: :json
    finish
  end

  def write(preview)
    patch "/api/projects/#{project.id}/pretranslation", params: { preview_id: preview.id }, as: :json
    finish
  end

  def told = project.segments.order(:position).map { |one| [one.target, one.state] }

  it "looks first, in words by origin, writes drafts, and is taken back in one step" do
    operation = preview(threshold: 70)
    expect(operation).to have_attributes(state: "done", total: 4)
    expect(operation.result["origins"].transform_values { |one| one["segments"] }).to eq(
      "context" => 0, "exact" => 1, "adapted" => 1, "fuzzy" => 1, "machine" => 0, "none" => 1
    )
    expect(operation.result["origins"]["exact"]).to eq("segments" => 1, "words" => 4)
    expect(told.map(&:first)).to eq(["", "", "", "", "Scritto"])
    expect(write(operation)).to have_attributes(state: "done", done: 3)
    expect(told).to eq([["Controllare le pastiglie.", "draft"], ["Andare a 30 km/h.", "draft"],
                        ["Controllare oggi la ruota anteriore.", "draft"], ["", "untouched"],
                        %w[Scritto draft]])
    first, second = project.segments.order(:position).first(2)
    expect(first.origin).to include("kind" => "memory", "score" => 100, "memory" => memory.name)
    second.keep_draft("Andare piano.", origin: { "kind" => "typed" }, by: user)
    get "/api/projects/#{project.id}/operations"
    undo(body.first["id"])
    expect(told.map(&:first)).to eq(["", "Andare piano.", "", "", "Scritto"])
  end

  it "takes only what is good enough, of some segments, and confirms what she lets it" do
    ids = project.segments.order(:position).first(3).map(&:id)
    write(preview(threshold: 95, segment_ids: ids, confirms: "exact"))
    expect(told.map(&:last)).to eq(%w[translated draft untouched untouched draft])
    expect(Segment.find(ids[0]).confirmed_at).to be_present
    write(preview(threshold: 60, which: "unfinished"))
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

  it "leaves no trace of a preview that is cancelled, and says what cannot be" do
    post "/api/projects/#{project.id}/pretranslation", as: :json
    patch "/api/operations/#{body["id"]}", params: { state: "cancelled" }, as: :json
    expect(finish).to have_attributes(state: "cancelled", active: false)
    expect(Operation.listed.where(subject: project).count).to eq(0)
    post "/api/projects/#{project.id}/pretranslation", params: { segment_ids: [0] }, as: :json
    expect(body["error"]["code"]).to eq("nothing-to-translate")
    post "/api/projects/#{project.id}/pretranslation", as: :json
    patch "/api/projects/#{project.id}/pretranslation", params: { preview_id: body["id"] }, as: :json
    expect(body["error"]["code"]).to eq("preview-first")
  end
end
