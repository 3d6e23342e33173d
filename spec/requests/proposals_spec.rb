# Proposals that are made of smaller things: a match whose differing term is that of the termbase, and a
# sentence put together where no match is good.
RSpec.describe "Proposals" do
  let(:user) { make_user }
  let(:memory) do
    make_memory(user, [["Check the brake pads before every ride.",
                        "Controllare le pastiglie prima di ogni uscita."],
                       ["the rear rack", "il portapacchi posteriore"],
                       ["with the long bolts", "con i bulloni lunghi"]])
  end
  let(:termbase) { user.termbases.create!(name: "Terms") }
  let(:project) do
    text = "Check the belt before every ride.\n\nFit the rear rack with the long bolts at 12 Nm.\n\nPaint it."
    made = make_project(user, text, name: "b.txt",
      memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
    made.attach_termbases([{ termbase_id: termbase.id }])
    made
  end
  let(:segments) { project.segments.order(:position).to_a }

  before { sign_in(user) }

  def proposals(segment)
    get "/api/segments/#{segment.id}/proposals"
    body["proposals"]
  end

  it "puts the term of the termbase where a match has another one, and says so" do
    before = proposals(segments[0]).first
    expect(before["kind"]).to eq("fuzzy")
    termbase.add_pair({ "en-GB" => "belt", "it-IT" => "la cinghia" }, by: user)
    termbase.add_pair({ "en-GB" => "brake pads", "it-IT" => "le pastiglie" }, by: user)
    expect(proposals(segments[0]).first).to include("kind" => "adapted",
      "target" => "Controllare la cinghia prima di ogni uscita.", "score" => before["score"],
      "stored" => "Controllare le pastiglie prima di ogni uscita.")
  end

  it "puts a sentence together from smaller matches, terms and figures, and says from what" do
    termbase.add_pair({ "en-GB" => "fit", "it-IT" => "montare" }, by: user)
    made = proposals(segments[1]).last
    expect(made).to include("kind" => "assembled", "score" => nil,
      "target" => "Montare il portapacchi posteriore con i bulloni lunghi at 12 Nm.",
      "parts" => match_array(%w[phrase term carried]), "known" => be >= 9, "words" => 11)
    expect(proposals(segments[2])).to eq([])
  end
end
