# Completion as she types: the first offer stands palely after the caret, a list comes by key, and neither is
# ever in the way of plain typing or of an input method.
RSpec.describe "Completion" do
  let(:user) { make_user }
  let(:memory) do
    make_memory(user, [["Check the front wheel.", "Controllare la ruota anteriore."],
                       ["Check the chain.", "Controllare la catena."],
                       ["The rear wheel is heavy.", "La ruota posteriore è pesante."]])
  end
  let(:project) do
    text = "Check the rear wheel.\n\nCheck the front wheel now.\n\nFit the Wren 24 at 1,250 m."
    make_project(user, text, name: "b.txt", memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
  end

  before { Rails.cache.clear }

  def way(label) = find(".ways label", text: label, exact_text: true).click

  def open_project(learned: true)
    Memory::Learned.new(memory).learn if learned
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
  end

  it "offers palely what follows, which Tab takes and Escape sends away, and plain typing passes over" do
    open_project
    type("Con")
    expect(editor).to have_css(".pale-offer", text: "trollare")
    press(:tab)
    expect(editor).to have_css(".pale-offer", text: "ruota")
    expect(written).to start_with("Controllare")
    press(:escape)
    expect(editor).to have_no_css(".pale-offer")
    expect(page).to have_css(".card")
    type(" tutto il resto")
    expect(written.squeeze(" ")).to eq("Controllare tutto il resto")
    press(:control, "z")
    expect(written).to eq("Controllare").or eq("Controllare ")
  end

  it "lists by key what may follow, walked by arrows, and takes the one chosen with Enter" do
    open_project
    type("Con")
    expect(editor).to have_css(".pale-offer")
    press(:alt, "o")
    expect(page).to have_css(".offers li[aria-selected=true]", text: "Controllare")
    expect(editor["aria-activedescendant"]).to eq("completion-0")
    second = all(".offers li").to_a[1].find("span").text
    press(:arrow_down)
    expect(page).to have_css(".offers li[aria-selected=true] span", text: second, exact_text: true)
    press(:enter)
    expect(written).to eq(second)
    press(:alt, "o")
    press(:escape)
    expect(page).to have_no_css(".offers")
    expect(page.evaluate_script("document.activeElement.getAttribute('role')")).to eq("textbox")
  end

  it "opens the list by itself after two letters where she likes it so, and draws from what she lets it" do
    open_project
    click_button "Translation settings"
    way "list after two letters"
    eventually { expect(user.reload.preferences["completion"]).to eq("list") }
    press(:escape)
    editor.click
    type("C")
    expect(page).to have_no_css(".offers")
    type("o")
    expect(page).to have_css(".offers li", minimum: 1)
    type("n l")
    expect(page).to have_no_css(".offers")
    click_button "Translation settings"
    way "memories"
    eventually { expect(user.reload.preferences["completion_without"]).to eq(["memories"]) }
    way "off"
    press(:escape)
    editor.click
    press(:end)
    type(" Contr")
    expect(written).to end_with("Contr")
    expect(page).to have_no_css(".offers, .pale-offer")
  end

  it "brings one blank along, and neither doubles it nor leaves it before a full stop" do
    open_project
    type("Controllare la ruota")
    page.execute_script("document.querySelector('.card [role=textbox]').focus()")
    press(:alt, "o")
    expect(page).to have_css(".offers li")
    press(:enter)
    taken = written
    type(" ")
    expect(written).to eq("#{taken.rstrip} ")
    press(:control, "a")
    type("Con")
    press(:tab)
    blank = written
    type(".")
    expect(written).to eq("#{blank.rstrip}.")
    press(:control, "a")
    type("Con")
    press(:tab)
    press(:control, :enter)
    eventually { expect(on_disk(project.segments.order(:position).first).target).to eq(blank.rstrip) }
  end

  it "offers the next inline code as it will stand, and takes it as a code" do
    coded = make_project(user, "<p><b>Warning:</b> the chain is hot.</p>", name: "b.html")
    sign_in(user, to: "/projects/#{coded.id}/translate")
    editor.click
    expect(editor).to have_css(".pale-offer .token", text: "1")
    press(:tab)
    type("Attenzione:")
    expect(editor).to have_css(".pale-offer .token.close", text: "/1")
    press(:tab)
    type(" la catena")
    segment = coded.segments.first
    eventually { expect(on_disk(segment).target).to eq("{1}Attenzione:{/1} la catena") }
    click_button "Translation settings"
    way "inline codes"
    eventually { expect(user.reload.preferences["completion_without"]).to eq(["codes"]) }
  end

  it "keeps away while a character is composed" do
    open_project
    type("Con")
    expect(editor).to have_css(".pale-offer")
    browser = page.driver.browser
    browser.execute_cdp("Input.imeSetComposition", text: "ǹ", selectionStart: 1, selectionEnd: 1)
    expect(editor).to have_no_css(".pale-offer")
    expect(written).to eq("Conǹ")
    browser.execute_cdp("Input.insertText", text: "ne")
    expect(written).to eq("Conne")
  end

  it "learns from a memory in the background, and then offers without being asked again" do
    open_project(learned: false)
    2.times { press(:alt, :page_down) }
    expect(page).to have_css(".card", text: "Fit the Wren")
    type("Contr")
    press(:alt, "o")
    expect(page).to have_text("No completions here.")
    perform_enqueued_jobs { LearnMemoryJob.perform_later(memory) }
    eventually(20) do
      press(:alt, "o")
      expect(page).to have_css(".offers li", text: "Controllare", wait: 0.5)
    end
  end
end
