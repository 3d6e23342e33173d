# What was typed survives: a lost network, a tab that is closed, another tab.
RSpec.describe "Nothing typed is lost" do
  let(:user) { make_user }
  let(:project) { make_project(user) }
  let(:segments) { project.segments.order(:position).to_a }

  before do
    segments
    sign_in(user)
    visit "/projects/#{project.id}/translate"
    expect(card).to have_css(".source", text: "The rear deck")
  end

  it "is on disk within a second" do
    type("Il pianale")
    expect(card).to have_css(".foot", text: "draft kept")
    sleep 0.6
    expect(on_disk(segments[0])).to have_attributes(target: "Il pianale", state: "draft")
  end

  it "waits out a lost network, says so, and is sent when it is back" do
    network(offline: true)
    type("Senza rete")
    expect(page).to have_css(
      "[role=status]",
      text: "kept in this browser, sent when the server answers again"
    )
    press(:control, :enter)
    expect(card).to have_css(".source", text: "Check the straps")
    type("Anche questo")
    sleep 1
    expect(on_disk(segments[0]).target).to eq("")
    network(offline: false)
    eventually do
      expect(
        segments.first(2).map { |segment| on_disk(segment).then { |row| [row.target, row.state] } }
      ).to eq([["Senza rete", "translated"], ["Anche questo", "draft"]])
    end
    expect(page).to have_no_css(".waiting-line")
  end

  it "is there again after the tab was closed without a network" do
    page.switch_to_window(page.open_new_window(:tab))
    visit "/projects/#{project.id}/translate"
    expect(card).to have_css(".source", text: "The rear deck")
    network(offline: true)
    type("Prima di chiudere")
    sleep 0.6
    expect(on_disk(segments[0]).target).to eq("")
    page.current_window.close
    page.switch_to_window(page.windows.first)
    network(offline: false)
    visit "/projects/#{project.id}/translate"
    expect(editor).to have_text("Prima di chiudere")
    eventually { expect(on_disk(segments[0]).target).to eq("Prima di chiudere") }
  end

  it "keeps both wordings when two tabs write the same segment" do
    type("Dalla prima")
    eventually { expect(on_disk(segments[0]).target).to eq("Dalla prima") }
    segments[0].reload.confirm(
      "Dalla seconda",
      origin: {
        "kind" => "typed"
      },
      by: make_user("Matteo Ferrante")
    )
    type(" scheda")
    eventually { expect(on_disk(segments[0]).target).to eq("Dalla prima scheda") }
    click_button "Past"
    expect(page).to have_css(".past li", text: "Dalla seconda")
    find(".past li", text: "Dalla seconda").click_button("Write this again")
    expect(editor).to have_text("Dalla seconda")
  end
end
