# Check: findings walked by key, put right alone or all that is certain, let stand and looked at again.
RSpec.describe "Check" do
  let(:user) { make_user }
  let(:project) do
    make_project(user, "It weighs 12 kg.\n\nOil the chain.\n\nStop now.\n\nFit the rack.", name: "b.txt")
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    ["Pesa 13 kg.", "Oliare la la catena.", "Fermarsi  subito.",
     "Montare il portapacchi."].zip(segments) do |text, one|
      one.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    sign_in(user)
    visit "/projects/#{project.id}/check"
    expect(page).to have_css(".findings li", count: 3)
  end

  def messages = all(".findings .message").map { |one| one.text.tr("\n", " ") }

  it "shows what and where, narrows by kind, and leads to the text" do
    expect(messages).to eq(["must fix: 12 became 13.", "have a look: “la” stands there twice.",
                            "have a look: There are two spaces in a row."])
    expect(page).to have_css(".findings .must-fix .target mark", text: "13")
    expect(faults).to eq([])
    click_button "spaces 1"
    expect(page).to have_css(".findings li", count: 1, text: "two spaces")
    find(".findings a.plain").click
    expect(page).to have_css(".card .gutter", text: "3")
  end

  it "tells of the open segment beside the text too, and puts right there" do
    visit "/projects/#{project.id}/translate##{segments[1].id}"
    find("[role=tab]", text: "Findings").click
    expect(page).to have_css(".segment-findings li", text: "“la” stands there twice.")
    click_button "Put right"
    expect(page).to have_text("Nothing to find in this segment.").or have_text("This is not confirmed yet.")
    expect(written).to eq("Oliare la catena.")
  end

  it "puts right by key, or all that is certain, each with a way back" do
    page.execute_script("document.querySelector('.findings a.plain').focus()")
    press(:arrow_down)
    press(:alt, "f")
    expect(page).to have_css(".findings li", count: 2)
    eventually { expect(on_disk(segments[1]).target).to eq("Oliare la catena.") }
    click_button "Undo"
    expect(page).to have_css(".findings li", count: 3)
    click_button "Put right what is certain (2)"
    expect(page).to have_css(".findings li", count: 1)
    eventually do
      expect(on_disk(segments[2])).to have_attributes(target: "Fermarsi subito.", state: "translated")
    end
    click_button "Undo"
    eventually { expect(on_disk(segments[2]).target).to eq("Fermarsi  subito.") }
  end

  it "lets one stand by key, set apart, and looks at it again" do
    page.execute_script("document.querySelector('.findings a.plain').focus()")
    press(:alt, :backspace)
    expect(page).to have_css(".findings li", count: 2)
    click_button "let stand 1"
    expect(page).to have_css(".findings li", text: "let stand by #{user.name}")
    click_button "Look at it again"
    expect(page).to have_css(".findings li", count: 0)
    click_button "everything, in text order 3"
    expect(page).to have_css(".findings li", count: 3)
  end
end
