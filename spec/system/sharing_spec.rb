# A memory shared by two people in two browsers: offered, taken, what one confirms is offered to the other
# while her text is open, taken back.
RSpec.describe "A shared memory" do
  let(:ines) { make_user }
  let(:anneke) { User.create!(name: "Anneke Vos", email: "anneke@vos.example", password: "cargo-bicycle") }
  let(:memory) { ines.memories.create!(name: "Bicycles", source_lang: "en-GB", target_lang: "it-IT") }

  def project_of(user, name)
    make_project(user, "<p>Load the box first.</p><p>Check the brakes.</p>", name: name,
      memories: [{ "memory_id" => memory.id, "learns" => "confirm" }])
  end

  def colleague(&block) = Capybara.using_session(:anneke, &block)

  it "is given by mail address, taken, fed by both at once, and taken back with a word" do
    anneke && memory
    sign_in(ines, to: "/memories/#{memory.id}")
    click_button "Share with a colleague …"
    fill_in "Email", with: anneke.email
    click_button "Access of #{anneke.email}: can view"
    click_button "can edit"
    expect(faults).to eq([])
    click_button "Share"
    expect(page).to have_css(".sharing li", text: "Anneke Vos")
    colleague do
      sign_in(anneke)
      click_link "Memories"
      expect(page).to have_text("Ines Calloway shares “Bicycles” with you: you can edit.")
      expect(faults).to eq([])
      click_button "Accept"
      expect(page).to have_css(".memory-line", text: "Shared by Ines Calloway")
      visit "/projects/#{project_of(anneke, "hers.html").id}/translate"
      find(".pair, .card", text: "Load the box first").click
      expect(page).to have_css(".card .proposals", text: "No matches in the memories.")
    end
    visit "/projects/#{project_of(ines, "mine.html").id}/translate"
    find(".pair, .card", text: "Load the box first").click
    type("Caricare prima la cassa.")
    press(:control, :enter)
    expect(page).to have_css(".card", text: "Check the brakes")
    colleague do
      expect(page).to have_css(".card .proposals", text: "Caricare prima la cassa.", wait: 3)
      expect(page).to have_css(".card .proposals", text: "Ines Calloway")
    end
    visit "/memories/#{memory.id}"
    click_button "Stop sharing"
    expect(page).to have_no_css(".sharing li")
    colleague do
      expect(page).to have_text("Ines Calloway stopped sharing “Bicycles”.")
      expect(page).to have_css(".card .proposals", text: "No matches in the memories.")
    end
  end

  it "is written by both at once: the later wording stands, the earlier in the unit’s past" do
    make = Glossema::Exchange::Tmx::Pair.new(source: "Load the box.", target: "Caricare.", attributes: {})
    memory.take_in([make])
    Share.give(memory, email: anneke.email, may: "edit", by: ines).update!(state: "accepted")
    edit = lambda do |target|
      fill_in "target", with: target
      click_button "Save"
    end
    begin_to_edit = lambda do
      visit "/memories/#{memory.id}"
      click_button "Edit: Load the box."
    end
    sign_in(ines)
    begin_to_edit.call
    colleague do
      sign_in(anneke)
      begin_to_edit.call
      edit.call("Caricare la cassa.")
      expect(page).to have_css(".unit", text: "Caricare la cassa.")
    end
    edit.call("Carica la cassa.")
    expect(page).to have_css(".unit", text: "Carica la cassa.")
    click_button "History"
    expect(page).to have_css(".unit", text: /Anneke Vos.*Caricare la cassa\./m)
  end

  it "invites who has no account, by a link that leads to one" do
    memory.take_in([Glossema::Exchange::Tmx::Pair.new(source: "Load.", target: "Caricare.", attributes: {})])
    memory.units.first.edit({ "target" => "Carica." }, by: ines)
    share = Share.give(memory, email: "matteo@ferrante.example", may: "view", by: ines)
    visit "/?invitation=#{share.token}"
    expect(page).to have_text("Ines Calloway shares “Bicycles” with you.")
    expect(faults).to eq([])
    fill_in "Your name", with: "Matteo Ferrante"
    fill_in "Email", with: "matteo@ferrante.example"
    fill_in "Password", with: "cargo-bicycle"
    click_button "Create account"
    click_link "Memories"
    expect(page).to have_text("Ines Calloway shares “Bicycles” with you: you can view.")
    share.reload.update!(state: "accepted")
    visit "/memories/#{memory.id}"
    click_button "Activity"
    expect(page).to have_css(".activity li", text: "Load.")
    expect(page).to have_no_css(".activity button")
    share.update!(may: "edit")
    visit "/memories/#{memory.id}"
    click_button "Activity"
    expect(page).to have_css(".activity li button")
  end
end
