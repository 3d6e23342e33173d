# Spelling while she writes: underlined once a word is done, mended and learned by key.
RSpec.describe "Spelling" do
  let(:user) { make_user }
  let(:project) { make_project(user, "Check the brake pads.", name: "b.txt") }

  before do
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
  end

  it "underlines a word once it is done, offers others by key, and takes one" do
    type("La pastilia")
    sleep 0.5
    expect(editor).to have_no_css(".misspelled")
    type(" del freno")
    expect(editor).to have_css(".misspelled", text: "pastilia", count: 1)
    press(:alt, "s")
    box = find(".misspelt")
    expect(box).to have_css(".suggestion", text: "pastiglia")
    expect(page).to have_css(".misspelt .suggestion:focus")
    press(:right) until page.evaluate_script("document.activeElement.textContent") == "pastiglia"
    press(:enter)
    expect(editor).to have_text("La pastiglia del freno", exact: true)
    expect(editor).to have_no_css(".misspelled")
    type(".")
    eventually { expect(project.segments.first.reload.target).to eq("La pastiglia del freno.") }
    press(:alt, "s")
    expect(page).to have_css("[role=status]", text: "No misspelled words in this segment.")
    expect(faults).to eq([])
  end

  it "learns a word, and leaves it alone from then on" do
    type("Reggiborsa alto")
    expect(editor).to have_css(".misspelled", text: "Reggiborsa")
    press(:alt, "s")
    click_button "my words"
    expect(editor).to have_no_css(".misspelled")
    expect(user.user_words.pluck(:word, :lang)).to eq([%w[Reggiborsa it]])
    press(:alt, "s")
    expect(page).to have_css("[role=status]", text: "No misspelled words in this segment.")
  end

  it "lets a word stand in this segment without learning it" do
    type("Reggiborsa alto")
    expect(editor).to have_css(".misspelled", text: "Reggiborsa")
    press(:alt, "s")
    click_button "Ignore here"
    expect(editor).to have_no_css(".misspelled")
    type(" qui")
    sleep 0.5
    expect(editor).to have_no_css(".misspelled")
    expect(user.user_words.count).to eq(0)
  end
end
