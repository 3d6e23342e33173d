# Memories in a real browser: units brought in, searched, edited, tidied up and taken back; words looked up;
# repeats; adapted matches.
RSpec.describe "Memories" do
  let(:user) { make_user }
  let(:pairs) do
    {
      "Check the straps." => "Controllare le cinghie.",
      "Ask your dealer." => "Rivolgersi al rivenditore.",
      "The deck carries up to 60 kg." => "Il pianale porta fino a 60 kg."
    }
  end

  def rows = all(".unit").map { |row| row.find(".unit-text").text.split("\n") }

  it "are made, take in TMX with what was wrong with it, are emptied again in one step, deleted and " \
    "brought back" do
    sign_in(user)
    click_link "Memories"
    click_button "New memory"
    fill_in "Name", with: "Life’s work"
    find("[aria-label^='Source language:']").click
    type("english, united k")
    press(:enter)
    find("[aria-label^='Target language:']").click
    type("it-it")
    press(:enter)
    click_button "Create memory"
    expect(page).to have_css("h2", text: "Life’s work")
    expect(faults).to eq([])

    tmx = File.join(Dir.mktmpdir, "units.tmx")
    unit = ->(source, target) do
      "<tu><tuv xml:lang=\"en\"><seg>#{source}</seg></tuv><tuv xml:lang=\"it\"><seg>#{target}</seg></tuv>" \
        "</tu>\n"
    end
    File.write(
      tmx,
      "<tmx version=\"1.4\"><header/><body>\n#{unit["Check.", "Controllare."]}#{unit["Bad &nope;", "x"]}" \
        "#{unit["Stop.", "Fermarsi."]}</body></tmx>"
    )
    find("input[aria-label='Import units: Life’s work']", visible: :all).set(tmx)
    within("[role=dialog]") do
      find("label", text: "use the newer translation").click
      expect(faults).to eq([])
      click_button "Import"
    end
    expect(page).to have_css(".memory-line", text: "2 units")
    click_link "Life’s work"
    expect(page).to have_css(".unit", count: 2)
    click_button "Activity"
    expect(page).to have_css(".activity", text: "units.tmx")
    find("summary", text: "1 error in the file").click
    expect(page).to have_css(".activity", text: "Line 3:")
    expect(faults).to eq([])
    click_button "Undo"
    expect(page).to have_css(".activity", text: "Undone")
    expect(TranslationUnit.count).to eq(0)

    click_link "← Memories"
    click_button "Delete: Life’s work"
    expect(page).to have_text("No memories yet.")
    click_button "Undo"
    expect(page).to have_css("h2", text: "Life’s work")
  end

  it "are searched, narrowed down, edited in place and changed in bulk, with a way back" do
    memory = make_memory(user, pairs)
    memory.take_in(
      [
        Glossema::Exchange::Tmx::Pair.new(
          source: "Ask your dealer.",
          target: "Chiedere al rivenditore.",
          attributes: {
            "client" => "Pell & Rook"
          }
        )
      ]
    )
    sign_in(user, to: "/memories/#{memory.id}")
    expect(page).to have_css(".unit", count: 4)
    expect(faults).to eq([])
    fill_in "Search source and target", with: "cinghi"
    expect(page).to have_css(".unit", count: 1)
    click_button "Edit: Check the straps."
    fill_in "target", with: "Verificare le cinghie."
    press(:control, :enter)
    expect(page).to have_css(".unit", text: "Verificare le cinghie.")
    click_button "Undo"
    expect(page).to have_css(".unit", text: "Controllare le cinghie.")
    find_field("Search source and target").set("", clear: :backspace)
    find(".facets button", text: "same source, different translations").click
    expect(page).to have_css(".unit", count: 2)
    expect(page).to have_css(".unit.twin mark")
    find(".facets button", text: "same source, different translations").click
    expect(page).to have_css(".unit", count: 4)
    find(".facets button", text: "Pell & Rook").click
    expect(page).to have_css(".unit", count: 1)
    find("input[aria-label='Select: Ask your dealer.']", visible: :all).click
    click_button "Delete"
    expect(page).to have_text("1 unit deleted")
    expect(page).to have_text("No units found.")
    expect(memory.units.count).to eq(3)
    click_button "Undo"
    expect(page).to have_css(".unit", count: 1)
    expect(memory.units.count).to eq(4)
  end

  def column(label) = find("label", text: label).find(".ant-select")

  def choose_column(label, value)
    column(label).click
    find(".ant-select-item-option", text: value, match: :prefer_exact).click
  end

  it "show the columns of a table before its units are brought in" do
    memory = make_memory(user, pairs)
    sign_in(user, to: "/memories/#{memory.id}")
    table =
      Rails
        .root
        .join("tmp/table.csv")
        .tap do |path|
          path.write(
            "No.;italiano;English\n1;Serrare i bulloni.;Tighten the bolts.\n2;Oliare la catena.;Oil the " \
              "chain.\n"
          )
        end
    attach_file("Import units: Tarnholt, delivered", table, make_visible: true)
    expect(column("Source column")).to have_text("C · English")
    expect(column("Target column")).to have_text("B · italiano")
    expect(page).to have_css(".table-look td.used", text: "Oil the chain.")
    expect(faults).to eq([])
    choose_column "Target column", "–"
    expect(page).to have_button("Import", disabled: true)
    choose_column "Target column", "B · italiano"
    click_button "Import"
    expect(page).to have_css(".unit", text: "Serrare i bulloni.")
    expect(memory.units.find_by(source: "Oil the chain.").target).to eq("Oliare la catena.")
    broken = Rails.root.join("tmp/broken.tmx").tap { |path| path.write("<html></html>") }
    attach_file("Import units: Tarnholt, delivered", broken, make_visible: true)
    click_button "Import"
    expect(page).to have_text("broken.tmx is not a TMX file: its root element is <html>.")
  ensure
    [table, broken].compact.each(&:delete)
  end

  it "give adapted matches that say what was replaced and why they score so" do
    memory = make_memory(user, pairs)
    project =
      make_project(
        user,
        docx(paragraph(run("The deck carries up to 80 kg."))),
        memories: [{ "memory_id" => memory.id, "penalty" => 5 }]
      )
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(card).to have_css(".proposals mark", text: "80")
    expect(card).to have_css(".adapted", text: "adapted: 60 → 80")
    click_button "Why 94"
    expect(card).to have_css(".why", text: "99, minus 5 memory")
    expect(faults).to eq([])
    press(:alt, :enter)
    expect(editor.text).to eq("Il pianale porta fino a 80 kg.")
  end

  it "are looked through beside the text, from what is marked in it, and text is taken from a hit" do
    memory = make_memory(user, pairs)
    project = make_project(user, memories: [{ "memory_id" => memory.id }])
    sign_in(user)
    visit "/projects/#{project.id}/translate##{project.segments.find_by(source: "Ask your dealer.").id}"
    expect(card).to have_css(".proposals")
    # The card is drawn again while what belongs to it arrives, and what was marked is then marked no longer.
    eventually do
      page.execute_script("getSelection().selectAllChildren(document.querySelector('.card .source'))")
      press(:alt, "l")
      expect(page).to have_css(".hits mark", text: "Ask your dealer", wait: 1)
    end
    expect(faults).to eq([])
    fill_in "Search text", with: "straps checking"
    expect(page).to have_text("No results.")
    click_button "Search mode: exact phrase"
    click_button "including inflected forms"
    expect(page).to have_css(".hits", text: "Controllare le cinghie.")
    click_button "Insert at cursor"
    expect(written).to eq("Controllare le cinghie.")
  end

  it "keeps repeats together: filled, undone, asked about, and let be" do
    project = make_project(user)
    first, second = project.segments.where(source: "Check the straps again.").to_a
    sign_in(user, to: "/projects/#{project.id}/translate##{first.id}")
    expect(card).to have_css("[role=textbox]")
    click_button "Translation settings"
    find(".ways label", text: "filled in and confirmed").click
    eventually { expect(user.reload.preferences["confirm_repeats"]).to be(true) }
    write =
      lambda do |text|
        visit "/memories"
        visit "/projects/#{project.id}/translate##{first.id}"
        expect(page).to have_css(".card .source", text: first.source)
        editor.click
        press(:control, "a")
        type(text)
        press(:control, :enter)
      end
    write.call("Ricontrollare.")
    expect(page).to have_text("1 repetition filled in.")
    eventually { expect(on_disk(second)).to have_attributes(target: "Ricontrollare.", state: "translated") }
    write.call("Verificare di nuovo.")
    expect(page).to have_text("1 other repetition still has the old translation.")
    click_button "Update repetitions"
    expect(page).to have_text("1 repetition updated.")
    expect(on_disk(second).target).to eq("Verificare di nuovo.")
    click_button "Undo"
    eventually { expect(on_disk(second).target).to eq("Ricontrollare.") }
    visit "/projects/#{project.id}/translate##{second.id}"
    expect(card).to have_css("[role=textbox]")
    press(:alt, "r")
    expect(card).to have_css(".foot", text: "can differ from its repetitions")
    eventually { expect(on_disk(second).exempt).to be(true) }
  end
end
