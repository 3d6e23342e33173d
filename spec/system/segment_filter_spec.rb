# The text narrowed by conditions that combine, sorted, and searched and replaced with every change in sight.
RSpec.describe "SegmentFilter and replacing" do
  let(:user) { make_user }
  let(:project) {
    make_project(user, "Check the pad.\n\nClean the pad.\n\nStop.\n\nCheck the pad.", name: "b.txt")
  }
  let(:segments) { project.segments.order(:position).to_a }

  before do
    segments[1].keep_draft("Pulire la pastiglia.", origin: { "kind" => "typed" }, by: user)
    segments[2].confirm("Fermo.", origin: { "kind" => "typed" }, by: user)
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
  end

  def rows = all(".row .source").map(&:text)

  # Chooses in the box of conditions.
  def choose_in_box(label) = find(".filter label", text: label, exact_text: true).click

  it "combines conditions, says them as a sentence, and sorts" do
    click_button "Filter segments"
    fill_in "Text", with: "PAD"
    expect(page).to have_css(".row", count: 3)
    choose_in_box("draft")
    expect(page).to have_css(".row", count: 1, text: "Clean the pad.")
    expect(page).to have_button("Filter segments: contains “PAD”, draft")
    press(:escape)
    click_button "Exclude: contains “PAD”"
    expect(page).to have_css(".filter-sentence", text: "draft")
    click_button "draft"
    expect(page).to have_css(".filter [data-part=states] input:focus", visible: :all)
    click_button "Clear filters"
    expect(page).to have_no_css(".filter-sentence")
    choose_in_box("repetitions after the first")
    expect(page).to have_css(".row", count: 1, text: "Check the pad.")
    choose_in_box("all segments")
    choose_in_box("shortest first")
    eventually { expect(rows.first).to eq("Stop.") }
    press(:escape)
    expect(page).to have_no_css(".filter")
    expect(faults).to eq([])
  end

  it "stays when the page is loaded again, gives way to links, and goes on from where the user was" do
    click_button "Filter segments"
    fill_in "Text", with: "pad"
    expect(page).to have_css(".row", count: 3)
    press(:escape)
    visit "/"
    visit "/projects/#{project.id}/translate"
    expect(page).to have_css(".row", count: 3)
    expect(page).to have_button("Filter segments: contains “pad”")
    visit "/projects/#{project.id}/translate##{segments[2].id}"
    expect(page).to have_css(".card .source", text: "Stop.")
    expect(page).to have_css(".row", count: 4)

    visit "/projects/#{project.id}/translate##{segments[1].id}"
    expect(page).to have_css(".card .source", text: "Clean the pad.")
    press(:escape)
    expect(page).to have_no_css(".card")
    press(:alt, "n")
    expect(page).to have_css(".card .source", text: "Check the pad.")
    expect(all(".row").last).to have_css(".card")
  end

  it "replaces what she takes, and takes it back in one step" do
    press(:control, "k")
    type("Find and replace")
    press(:enter)
    fill_in "Find in the translations", with: "(past)iglia"
    fill_in "Replace with", with: "\\1a"
    find(".replace label", text: "Regular expression").click
    click_button "Preview"
    expect(page).to have_css(".places ins", text: "Pulire la pasta.")
    expect(segments[1].reload.target).to eq("Pulire la pastiglia.")
    expect(faults).to eq([])
    click_button "Replace in 1 segment"
    expect(page).to have_text("1 segment changed.")
    expect(segments[1].reload.target).to eq("Pulire la pasta.")
    click_button "Undo"
    eventually { expect(segments[1].reload.target).to eq("Pulire la pastiglia.") }
    expect(page).to have_css(".row", text: "Pulire la pastiglia.")
  end
end
