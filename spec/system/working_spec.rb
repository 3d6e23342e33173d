# The hands on the keyboard: notes, what to come back to, the past walked by key, keys of her own, conditions
# kept by name, how the text looks, words taken from a proposal.
RSpec.describe "Working in Translate" do
  let(:user) { make_user }
  let(:memory) { make_memory(user, [["Oil the chain weekly.", "Oliare la catena ogni settimana."]]) }
  let(:project) do
    text = "Check the bolts.\n\nOil the chain daily.\n\nFit the rack 24.\n\nCheck the bolts again."
    make_project(user, text, name: "b.txt", memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
  end
  let(:segments) { project.segments.order(:position).to_a }

  # Where the page shows the open segment; what is out of sight is not drawn.
  def here = page.evaluate_script("document.querySelector('.sheet-page .here')?.textContent")

  def open_project
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
  end

  def tick(label) = find("label", text: label, exact_text: true, match: :first).click
  def expect_open(number) = expect(page).to have_css(".card .gutter", text: /\A#{number}\b/)

  it "takes a note by key, asks the client, and shows which segments have one" do
    open_project
    press(:alt, "w")
    expect(page).to have_css(".new-note textarea:focus")
    type("Torque?")
    tick "question to the client"
    find(".new-note textarea", match: :first).click
    press(:control, :enter)
    expect(page).to have_css(".note.question", text: "Torque?")
    expect(page.evaluate_script("document.activeElement.getAttribute('role')")).to eq("textbox")
    press(:alt, :page_down)
    expect(page).to have_css(".pair .noted", text: "question to the client")
    click_link "1 open question to the client"
    find("[aria-label='Answer: no answer yet']").click
    type("12 Nm")
    find("h1").click
    expect(page).to have_css(".answer", text: "12 Nm")
    expect(Note.last).to have_attributes(answer: "12 Nm", answered_by: user.name)
    click_button "Delete"
    expect(page).to have_no_css(".note")
    click_button "Undo"
    expect(page).to have_css(".note", text: "Torque?")
  end

  it "walks what is marked to come back to, clears a target, and goes back by key to what stood there" do
    open_project
    press(:alt, :page_down)
    type("Prima")
    press(:alt, "m")
    press(:control, :enter)
    expect_open(3)
    press(:alt, :shift, "m")
    expect_open(2)
    press(:alt, :delete)
    eventually { expect(on_disk(segments[1]).target).to eq("") }
    press(:alt, "h")
    expect(page).to have_css(".past .past-version:focus", wait: 5)
    press(:arrow_down)
    press(:space)
    expect(page).to have_css(".past .past-version[aria-pressed=true]", text: "Prima")
    expect(page).to have_css(".past .compare del", text: "Prima")
    press(:enter)
    eventually { expect(on_disk(segments[1]).target).to eq("Prima") }
  end

  it "takes back what was done in segments she has left, and does it again, from a list or by key" do
    open_project
    type("Controllare i bulloni.")
    press(:control, :enter)
    expect_open(2)
    type("Oliare")
    press(:control, :enter)
    expect_open(3)
    press(:alt, "z")
    expect_open(2)
    eventually { expect(on_disk(segments[1])).to have_attributes(target: "", state: "untouched") }
    press(:alt, "z")
    expect_open(1)
    eventually { expect(on_disk(segments[0])).to have_attributes(target: "", state: "untouched") }
    press(:alt, :shift, "z")
    eventually { expect(on_disk(segments[0])).to have_attributes(state: "translated") }
    press(:alt, "y")
    expect(page).to have_css(".undoHistory li", text: "Controllare i bulloni.", minimum: 1)
    within(".undoHistory") { click_button "Undo", match: :first }
    eventually { expect(on_disk(segments[0])).to have_attributes(state: "untouched") }
  end

  it "warns quietly of a number that is lost, and says how far she came today and when it will be done" do
    open_project
    press(:alt, :page_down)
    press(:alt, :page_down)
    type("Montare il portapacchi.")
    press(:control, :enter)
    expect(page).to have_css(".said", text: "Segment 3 is saved with a warning: 24 is missing in the target.")
    expect(page).to have_css(".amount", text: "4 of 15 words · 4 today")
    expect(page).to have_css(".amount", text: /finished .+ at your pace/)
    eventually { expect(on_disk(segments[2]).state).to eq("translated") }
  end

  it "shows the companion in a window of its own, which follows" do
    open_project
    own = window_opened_by { press(:alt, :shift, "p") }
    expect(page).to have_no_css(".companion")
    type("Controllare")
    within_window(own) { eventually { expect(here).to eq("Controllare") } }
    press(:alt, :page_down)
    within_window(own) do
      eventually { expect(here).to eq("Oil the chain daily.") }
      click_button "Move back beside the text"
    end
    expect(page).to have_css(".translate > .companion")
  end

  it "shows all keys by one, and lets her change them, telling of clashes" do
    open_project
    press(:alt, "k")
    expect(page).to have_css(".key-sheet", text: "Confirm and go to next")
    click_link "Change shortcuts"
    find("[aria-label*='Carry over next number']").click
    press(:alt, "t")
    expect(page).to have_css("[role=alert]",
      text: "Alt+T is already assigned to “Add term”.")
    find("[aria-label*='Carry over next number']").click
    press(:control, "g")
    eventually { expect(user.reload.preferences["keys"]).to eq("carry" => "Ctrl+G") }
    visit "/projects/#{project.id}/translate##{segments[2].id}"
    expect_open(3)
    expect(page).to have_css(".card .of-carried", text: "24")
    editor.click
    press(:control, "g")
    expect(editor).to have_text("24")
    visit "/settings/keys"
    click_button "Reset to default"
    eventually { expect(user.reload.preferences["keys"]).to eq({}) }
  end

  it "narrows by regular expression, and keeps conditions by name" do
    open_project
    click_button "Filter segments"
    fill_in "Text", with: "bolts|\\d"
    tick "Regular expression"
    expect(page).to have_css(".column-head", text: "3 segments")
    fill_in "Text", with: "("
    expect(page).to have_css(".filter [role=alert]", text: "(")
    fill_in "Text", with: "^Check"
    expect(page).to have_css(".column-head", text: "2 segments")
    fill_in "Filter name", with: "Checks"
    click_button "Save filter"
    eventually { expect(user.reload.preferences["filters"].to_a.pluck("name")).to eq(["Checks"]) }
    click_button "Clear filters"
    expect(page).to have_css(".column-head", text: "4 segments")
    click_button "Checks"
    expect(page).to have_css(".column-head", text: "2 segments")
  end

  it "sets the text side by side and larger, and still so the next time" do
    open_project
    click_button "Text display"
    tick "side by side"
    tick "medium"
    eventually { expect(user.reload.preferences["reading"]).to eq("beside" => true, "size" => 1.15) }
    visit "/projects/#{project.id}/translate"
    expect(page).to have_css(".card .editor")
    places = page.evaluate_script(<<~JS)
      ['.source', '.editor'].map((name) => document.querySelector('.card ' + name).getBoundingClientRect())
        .map((box) => [box.left, box.right])
    JS
    expect(places[0][1]).to be <= places[1][0]
  end

  it "takes the marked words of a proposal at the caret, or the whole of it" do
    open_project
    press(:alt, :page_down)
    expect(page).to have_css(".proposals .text", text: "Oliare la catena")
    type("Ogni giorno: ")
    page.execute_script(<<~JS)
      const node = document.createTreeWalker(document.querySelector('.proposals .text'), NodeFilter.SHOW_TEXT)
        .nextNode()
      getSelection().setBaseAndExtent(node, 7, node, 16)
    JS
    press(:alt, :shift, :enter)
    eventually { expect(on_disk(segments[1]).target).to eq("Ogni giorno: la catena") }
  end
end
