# Terms: found in the source, put in by key, added without a form, seen at once by others; figures carried
# over; a termbase set up, searched, edited and filled from a file.
RSpec.describe "Terms" do
  let(:user) { make_user }
  let(:termbase) { user.termbases.create!(name: "Tarnholt, terms") }
  let(:project) do
    text = "Check the brake pads at 25 km/h.\n\nBrake pads wear.\n\nFold the kickstand."
    make_project(user, text, name: "b.txt").tap { |made|
      made.attach_termbases([{ termbase_id: termbase.id }])
    }
  end

  def add(terms, **said)
    sections = terms.map do |lang, list|
      made = Array(list).map { |text| Glossema::Terms::Term.new(text: text, **(text.end_with?("!") ? said : {})) }
      made.each { |term| term.text = term.text.delete_suffix("!") }
      Glossema::Terms::Section.new(lang: lang, terms: made)
    end
    termbase.record_change(Operations::TermAddition, by: user) { |recorder| recorder.add(Glossema::Terms::Entry.new(sections: sections)) }
  end

  def open_project
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
  end

  # Marks a text of the open source as the mouse does.
  def mark(text)
    page.execute_script(<<~JS, find(".card .source"), text)
      const [source, text] = arguments
      const walker = document.createTreeWalker(source, NodeFilter.SHOW_TEXT)
      const nodes = []
      while (walker.nextNode()) nodes.push(walker.currentNode)
      const whole = nodes.map((node) => node.data).join('')
      const place = (at) => {
        for (const node of nodes) { if (at <= node.length) return [node, at]; at -= node.length }
      }
      const range = document.createRange()
      const at = whole.indexOf(text)
      range.setStart(...place(at))
      range.setEnd(...place(at + text.length))
      getSelection().removeAllRanges()
      getSelection().addRange(range)
    JS
  end

  it "underlines terms and puts one in by key, in the case of the place, and shows what not to use" do
    add({ "en" => "brake pad", "it" => ["pastiglia", "pattino!"], "nl" => "remblok" }, forbidden: true)
    open_project
    expect(card).to have_css(".source mark.of-term", text: "brake pads")
    expect(card).to have_css(".term-pairs", text: "brake pad pastiglia 1")
    expect(card).to have_css(".term-pairs s", text: "pattino")
    press(:alt, :shift, "1")
    expect(editor).to have_text("Pastiglia", exact: true)
    press(:alt, :shift, "1")
    expect(editor).to have_text("Pastiglia pastiglia", exact: true)
    eventually { expect(project.segments.first.reload.target).to eq("Pastiglia pastiglia") }
    press(:alt, "e")
    entry = find(".companion .term-entry")
    expect(entry.all("dt").map(&:text)).to eq(%w[Italian English Dutch])
    expect(entry).to have_css("s", text: "pattino")
    expect(faults).to eq([])
  end

  it "carries figures over in order, in the target's form, and says what is still to come" do
    open_project
    expect(card).to have_css(".source mark.of-carried", text: "25 km/h")
    expect(card).to have_css(".foot .to-come", text: "25 km/h")
    type("A")
    press(:alt, "c")
    expect(editor).to have_text("A 25 km/h", exact: true)
    expect(card).to have_no_css(".foot .to-come")
    press(:alt, "c")
    expect(page).to have_css("[role=status]", text: "Everything is already carried over.")
  end

  it "adds a marked pair with one key, joins what is there, and asks about what is like it" do
    open_project
    type("Controllare le pastiglie")
    mark("brake pads")
    press(:alt, "t")
    expect(page).to have_field("target term", focused: true)
    press(:escape)
    expect(page).to have_no_field("source term")
    editor.click
    press(:end)
    press(:control, :shift, :left)
    mark("brake pads")
    press(:alt, "t")
    expect(page).to have_css("[role=status]", text: "Added to Tarnholt, terms: brake pads · pastiglie")
    expect(card).to have_css(".term-pairs", text: "brake pads pastiglie 1")
    expect(termbase.entries.there.map { |one|
      one.entry.terms.map(&:text)
    }).to eq([["brake pads", "pastiglie"]])
    expect(faults).to eq([])
  end

  it "stands underlined in another browser within two seconds" do
    open_project
    expect(card).to have_no_css("mark.of-term")
    add({ "en" => "brake pad", "it" => "pastiglia" })
    expect(card).to have_css(".source mark.of-term", text: "brake pads", wait: 2)
  end

  it "adds a term by keyboard alone, edits its entry beside the text, and shows its places alone" do
    open_project
    editor.click
    type("Controllare le pastiglie")
    press(:alt, "t")
    type("brake pad")
    press(:tab)
    type("pastiglia")
    press(:enter)
    expect(card).to have_css(".term-pairs", text: "brake pad pastiglia")
    expect(page.evaluate_script("document.activeElement.getAttribute('role')")).to eq("textbox")
    press(:alt, "e")
    click_button "2 occurrences"
    expect(page).to have_css(".column-head", text: "only brake pad")
    expect(page).to have_css(".row", count: 2)
    click_button "Edit entry"
    within(".companion") do
      fill_in "Term in Italian", with: "pastiglia del freno"
      click_button "Save"
      expect(page).to have_css(".term-entry", text: "pastiglia del freno")
    end
    expect(card).to have_css(".term-pairs", text: "pastiglia del freno")
    click_button "only brake pad"
    expect(page).to have_css(".row", count: 3)
    visit "/termbases/#{termbase.id}"
    click_button "Edit brake pad"
    find("summary", text: "History").click
    click_button "Restore this version"
    expect(page).to have_css(".entry", text: "pastiglia")
    eventually { expect(TermEntry.last.entry.in("it").first.terms.map(&:text)).to eq(["pastiglia"]) }
    expect(faults).to eq([])
  end

  it "makes a termbase, adds and edits entries, takes a file in, and undoes" do
    sign_in(user)
    click_link "Termbases"
    expect(page).to have_text("No termbases yet")
    click_button "New termbase"
    fill_in "Name", with: "General"
    press(:enter)
    click_link "General"
    click_button "New entry"
    fill_in "Term in English", with: "rim"
    fill_in "Term in Italian", with: "cerchio"
    click_button "Save"
    expect(page).to have_css(".entry", text: "cerchio")
    click_button "Edit rim"
    fill_in "Term in Italian", with: "cerchione"
    press(:control, :enter)
    expect(page).to have_css(".entry", text: "cerchione")
    path = Rails.root.join("tmp/terms.csv")
    path.write("en,it,subject\nhub,mozzo,Wheels\nrim,cerchio,Wheels\n")
    find("[aria-label='Import terms']", visible: :all).set(path.to_s)
    find("label", text: "if they share a term in the same language").click
    click_button "Import"
    expect(page).to have_text("terms.csv: 1 added, 1 merged, 0 unchanged")
    fill_in "Search terms", with: "mozz"
    expect(page).to have_css(".entry", count: 1, text: "hub")
    click_link "Activity"
    expect(page).to have_css(".activity li", count: 3)
    first(".activity .link", text: "Undo").click
    expect(page).to have_css(".activity .undone", count: 1)
    click_link "Entries"
    expect(page).to have_text("No entries found.")
    expect(faults).to eq([])
  end

  it "walks candidates by keyboard: accepted as edited, put off, refused, and taken back" do
    project
    memory = make_memory(user, [["Fit the mudguard.", "Montare il parafango."],
                                ["The mudguard rattles.", "Il parafango vibra."],
                                ["Oil the kickstand.", "Oliare il cavalletto."],
                                ["The kickstand folds.", "Il cavalletto si ripiega."],
                                ["Check the spokes.", "Controllare i raggi."],
                                ["Loose spokes break.", "I raggi allentati si rompono."]])
    sign_in(user, to: "/termbases/#{termbase.id}/candidates")
    expect(page).to have_text("No candidates to decide.")
    click_button "project or memory"
    type("Tarnholt, delivered")
    press(:enter)
    expect(page).to have_text(/new candidates? from Tarnholt, delivered/)
    expect(page).to have_css(".candidate.current")
    decided = page.all(".candidate").map { |row| row["aria-label"][/\A[^,]+/] }.first(3)
    eventually { expect(page.evaluate_script("document.activeElement.className")).to include("candidate") }
    press(:space)
    expect(page).to have_text("Postponed: #{decided[0]}")
    press(:delete)
    expect(page).to have_text("Rejected: #{decided[1]}")
    find(".ant-message", text: "Undo").click_button("Undo")
    expect(page).to have_css(".candidate", text: decided[1])
    find(".candidate.current").send_keys(:f2)
    press(:control, "a")
    type("scelto")
    press(:enter)
    expect(page).to have_text("Added to the termbase")
    expect(termbase.entries.there.map { |one| one.entry.in("it").first.terms.first.text }).to eq(["scelto"])
    click_button "Postponed"
    expect(page).to have_css(".candidate", count: 1, text: decided[0])
    expect(faults).to eq([])
    expect(memory.units.count).to eq(6)
  end
end
