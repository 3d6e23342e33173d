# The findings of a project: kept up to date, mended in one step, let stand with a reason and back when the
# text changes.
RSpec.describe "Checks" do
  let(:user) { make_user }
  let(:project) do
    make_project(user, "It weighs 12 kg.\n\nOil the chain.\n\nOil the chain.\n\nStop now.", name: "b.txt")
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    sign_in(user)
    write(0, "Pesa 13 kg.")
    segments[1].update!(exempt: true)
    segments[2].update!(exempt: true)
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

  it "are told in text order with their spots, and go when their cause does" do
    expect(told).to eq([[1, "number-missing", "must-fix"], [2, "source-two-targets", "look"],
                        [3, "word-twice", "look"], [3, "source-two-targets", "look"]])
    expect(body["checked"]).to eq(3)
    expect(finding("number-missing")).to include("source" => [[10, 12]], "target" => [[5, 7]],
      "message" => "12 became 13.", "group" => "numbers")
    write(0, "Pesa 12 kg.")
    write(2, "Oliare la catena.")
    expect(told).to eq([])
  end

  it "are looked at again only where something changed, also in a termbase" do
    findings
    before = CheckedSegment.pluck(:segment_id, :digest).to_h
    write(0, "Pesa 14 kg.")
    findings
    after = CheckedSegment.pluck(:segment_id, :digest).to_h
    expect(after.reject { |id, digest| before[id] == digest }.keys).to eq([segments[0].id])
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id, checks: true }])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "cinghia" }, by: user)
    expect(told).to include([2, "term-missing", "look"])
  end

  it "put in what is certain, and take it back in one step" do
    patch "/api/projects/#{project.id}/findings", params: { keys: [finding("word-twice")["key"], "none"] },
      as: :json
    expect(body["changed"]).to eq(1)
    expect(segments[2].reload).to have_attributes(target: "Lubrificare la catena.", state: "translated")
    delete "/api/projects/#{project.id}/acts/#{body["act"]}"
    expect(segments[2].reload.target).to eq("Lubrificare la la catena.")
  end

  it "are let stand with a reason, alone or all alike, and come back when the text changes" do
    post "/api/projects/#{project.id}/let_stands",
      params: { key: finding("number-missing")["key"], reason: "as printed" }, as: :json
    expect(finding("number-missing")["stands"]).to include("reason" => "as printed", "author" => user.name,
      "all" => false)
    write(0, "Pesa 15 kg.")
    expect(finding("number-missing")["stands"]).to be_nil
    post "/api/projects/#{project.id}/let_stands", params: { key: finding("word-twice")["key"], all: true },
      as: :json
    write(1, "Oliare la la catena.")
    expect(findings.select { |one|
      one["code"] == "word-twice"
    }.map { |one| one["stands"]["all"] }).to eq([true, true])
    delete "/api/let_stands/#{finding("word-twice")["stands"]["id"]}"
    expect(finding("word-twice")["stands"]).to be_nil
    post "/api/projects/#{project.id}/let_stands", params: { key: "gone" }, as: :json
    expect(body["error"]["code"]).to eq("finding-gone")
  end
end
