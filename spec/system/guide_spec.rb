# The guide inside the application, and the look round that the demo offers.
RSpec.describe "Guide" do
  let(:user) { make_user }

  it "is found from the commands, searched, and names the keys as they are for her" do
    user.update!(preferences: { "keys" => { "addTerm" => "Alt+Shift+Q" } })
    sign_in(user)
    press(:control, "k")
    type("insert codes")
    expect(page).to have_css("[role=option]",
      text: "Guide: Insert codes and numbers, complete words (Translate)")
    press(:enter)
    expect(page).to have_css("article h2", text: "Insert codes and numbers, complete words")
    expect(page).to have_css("kbd", text: "Alt Shift Q").and have_css("kbd", text: "Tab")
    expect(page).to have_css("[aria-current=page]", text: "Translate")
    fill_in "Search the guide", with: "no such thing"
    expect(page).to have_text("No results in the guide.")
    fill_in "Search the guide", with: "thin where"
    click_link "Check doubtful pairs"
    expect(page).to have_css("article h1", text: "Align")
    eventually do
      expect(page.evaluate_script("document.querySelector('article img').naturalWidth")).to be_positive
    end
    expect(faults).to eq([])
  end

  it "leads round the demo in five steps, which can be sent away" do
    project = make_project(user, "Check the brakes.", name: "b.txt")
    project.segments.first.confirm("Controllare i freni.", by: user, origin: {})
    deliver(project, by: user)
    stages = %w[brief translate check deliver].map { |stage| "/projects/#{project.id}/#{stage}" }
    user.prefer("tour" => ["/", *stages])
    sign_in(user)
    expect(page).to have_text("New to Glossema?")
    click_button "Start tour"
    expect(page).to have_css(".tour h2", text: "Today 1 / 5")
    { "Brief" => ".brief", "Translate" => ".card", "Check" => "main h1", "Deliver" => "main h1" }
      .each_with_index do |(name, shown), index|
        click_button "Next"
        expect(page).to have_css(".tour h2", text: "#{name} #{index + 2} / 5").and have_css(shown)
        expect(page).to have_current_path(stages[index], ignore_query: true)
      end
    expect(faults).to eq([])
    page.refresh
    click_button "Back"
    click_button "End tour"
    expect(page).to have_no_css(".tour")
    click_link "Glossema"
    click_button "Not now"
    expect(page).to have_no_text("New to Glossema?")
    eventually { expect(user.reload.preferences["hints_gone"]).to eq(["tour"]) }
  end
end
