# What was typed survives: a lost network, a tab that is closed, another tab.
RSpec.describe "Nothing typed is lost" do
  let(:user) { make_user }
  let(:project) { make_project(user) }
  let(:segments) { project.segments.order(:position).to_a }

  before do
    segments
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(card).to have_css(".source", text: "The rear deck")
  end

  it "is on disk within a second" do
    type("Il pianale")
    expect(card).to have_css(".foot", text: "draft saved")
    sleep 0.6
    expect(on_disk(segments[0])).to have_attributes(target: "Il pianale", state: "draft")
  end

  it "waits out a lost network, says so, and is sent when it is back" do
    network(offline: true)
    type("Senza rete")
    expect(page).to have_css("[role=status]", text: "1 text is saved in this browser")
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

  def other_tab
    page.switch_to_window(page.open_new_window(:tab))
    visit "/projects/#{project.id}/translate##{segments[0].id}"
    expect(card).to have_css(".source", text: "The rear deck")
    yield
    page.current_window.close
    page.switch_to_window(page.windows.first)
  end

  it "shows at once what another tab wrote" do
    other_tab do
      type("Dalla seconda")
      eventually { expect(on_disk(segments[0]).target).to eq("Dalla seconda") }
    end
    expect(editor).to have_text("Dalla seconda")
    expect(page).to have_text("Segment 1 was just changed elsewhere.")
    type(" e prima")
    eventually { expect(on_disk(segments[0]).target).to eq("Dalla seconda e prima") }
  end

  it "shows both wordings where two were written meanwhile; one is kept, the other stays in Past" do
    type("Dalla prima")
    eventually { expect(on_disk(segments[0]).target).to eq("Dalla prima") }
    segments[0].reload.keep_draft("Di Matteo", origin: { "kind" => "typed" },
      by: make_user("Matteo Ferrante"))
    type(" scheda")
    expect(card).to have_css(".two-wordings",
      text: "Di Matteo").and have_css(".two-wordings", text: "Dalla prima scheda")
    expect(on_disk(segments[0]).target).to eq("Di Matteo")
    expect(faults).to eq([])
    click_button "Keep the other version"
    expect(editor).to have_text("Di Matteo", exact: true)
    expect(page).to have_no_css(".two-wordings")
    click_button "History"
    expect(page).to have_css(".past li", text: "Dalla prima scheda")

    segments[0].reload.keep_draft("Ancora lui", origin: { "kind" => "typed" },
      by: make_user("Matteo Ferrante"))
    editor.click
    type("!")
    click_button "Keep my version"
    eventually { expect(on_disk(segments[0]).target).to eq("Di Matteo!") }
    expect(segments[0].versions.pluck(:target)).to include("Ancora lui")
  end

  # As in another tab.
  def sign_out
    sleep 0.5
    page.evaluate_async_script("fetch('/api/session', { method: 'DELETE' }).then(arguments[0])")
  end

  it "waits for its owner when the session has ended, and goes in when she is back" do
    sign_out
    type("Senza sessione")
    expect(page).to have_css("[role=status]", text: "You are signed out. Sign in to send 1 text")
    other = make_user("Anneke Vos")
    sign_in(other)
    sleep 1
    expect(on_disk(segments[0]).target).to eq("")
    sign_out
    sign_in(user, to: "/projects/#{project.id}/translate")
    eventually { expect(on_disk(segments[0]).target).to eq("Senza sessione") }
    expect(editor).to have_text("Senza sessione")
  end

  it "keeps a text whose segment is gone until it is put away" do
    network(offline: true)
    type("Senza posto")
    expect(page).to have_css("[role=status]", text: "saved in this browser")
    project.documents.first.move_to_trash(by: user)
    Segment.discard(Segment.where(id: segments[0].id))
    network(offline: false)
    expect(page).to have_css(".waiting-line", text: "Segment 1 no longer exists. Your text:")
    expect(page).to have_css(".waiting-line q", text: "Senza posto")
    visit current_path
    click_button "Dismiss"
    expect(page).to have_no_css(".waiting-line")
  end

  it "keeps the mark of a segment that is typed on, and is confirmed again when typing is undone" do
    press(:alt, "m")
    type("Uno {")
    eventually { expect(on_disk(segments[0])).to have_attributes(target: "Uno \\{", marked: true) }
    press(:control, :enter)
    eventually { expect(on_disk(segments[0]).state).to eq("translated") }
    press(:alt, :page_up)
    type("x")
    eventually { expect(on_disk(segments[0]).state).to eq("draft") }
    press(:control, "z")
    eventually { expect(on_disk(segments[0])).to have_attributes(target: "Uno \\{", state: "translated") }
  end

  it "takes pasted paragraphs as one line, without what no document can hold, however long" do
    paste = <<~JS
      const data = new DataTransfer()
      data.setData('text/plain', arguments[1])
      arguments[0].dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
    JS
    page.execute_script(paste, editor.native, "Prima.\n\nSeconda.\u0001")
    expect(page).to have_css("[role=status]", text: "Invisible characters")
    eventually { expect(on_disk(segments[0]).target).to eq("Prima. Seconda.") }
    long = "parola " * 1500
    page.execute_script(paste, editor.native, long)
    eventually { expect(on_disk(segments[0]).target.length).to be > 10_000 }
  end

  def compose(text) = page.driver.browser.execute_cdp("Input.imeSetComposition", text: text,
    selectionStart: text.length, selectionEnd: text.length)

  it "leaves Escape and Enter to a composition, and keeps what was composed" do
    type("Casa ")
    compose("にほん")
    expect(editor).to have_text("Casa にほん")
    composing = "new KeyboardEvent('keydown', { key: arguments[1], isComposing: true, bubbles: true, " \
      "cancelable: true, ctrlKey: arguments[1] === 'Enter' })"
    %w[Escape Enter].each do |key|
      page.execute_script("arguments[0].dispatchEvent(#{composing})", editor.native, key)
      expect(card).to have_css(".source", text: "The rear deck")
    end
    page.driver.browser.execute_cdp("Input.insertText", text: "日本")
    expect(editor).to have_text("Casa 日本")
    eventually { expect(on_disk(segments[0]).target).to eq("Casa 日本") }
    press(:escape)
    expect(page).to have_no_css(".card")
  end
end
