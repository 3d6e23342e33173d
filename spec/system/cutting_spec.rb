# How files are read and cut, in a real browser: options on Brief, the Rules page, splitting and joining, a
# newer version.
RSpec.describe "Cutting" do
  let(:user) { make_user }
  let(:folder) { Dir.mktmpdir }
  let(:text) { "Load approx. Half the box. Then go.\nCheck the red brake lever twice.\nStay calm.\n" }

  def file(name, bytes) = File.join(folder, name).tap { |path| File.binwrite(path, bytes) }
  def sources(document) = Segment.uncached { document.segments.reload.map(&:source) }

  it "reads a sheet by the options she sets, and says what is wrong with them" do
    sign_in(user)
    find("input[type=file]", visible: :all).set(File.expand_path("demo/formats/prices.xlsx"))
    expect(page).to have_css(".files .small", text: "7 segments")
    click_button "Options: prices.xlsx"
    within("[role=dialog]") do
      expect(find("label", text: "Hidden sheets")).to have_unchecked_field(visible: :all)
      find("label", text: "Sheet names not used in formulas").click
      fill_in "Cell ranges", with: "A2:A9"
      expect(faults).to eq([])
      click_button "Read file with these options"
    end
    expect(page).to have_css(".files .small", text: "2 options changed · 4 segments")
    click_button "Options: prices.xlsx"
    fill_in "Cell ranges", with: "from here to there"
    click_button "Read file with these options"
    expect(page).to have_css(
      ".files .alarm",
      text: "Not imported: prices.xlsx: “from here to there” is not a range"
    )
    click_button "Options: prices.xlsx"
    find_field("Cell ranges").set("", clear: :backspace)
    click_button "Read file with these options"
    expect(page).to have_css(".files .small", text: "1 option changed · 6 segments")
  end

  it "edits rules on her own text, keeps them, and leaves what is translated" do
    project = make_project(user, text, name: "leaflet.txt")
    document = project.documents.first
    document.segments.find_by(source: "Then go.").confirm("Poi via.", origin: { "kind" => "typed" }, by: user)
    sign_in(user, to: "/projects/#{project.id}/brief")
    click_link "Segmentation rules"
    expect(page).to have_text("Default rules of Glossema.")
    expect(page).to have_css(".cut-text li", text: "Load approx. Half the box.")
    expect(page).to have_button("Save for this project", disabled: true)
    expect(faults).to eq([])

    field = all(".rule-list textarea").find { |one| one.value.include?("approx") }
    field.set(field.value.sub("approx ", ""))
    expect(page).to have_css(".cut-text li.changed", text: "Half the box.")
    expect(page).to have_css(".cut-text li:not(.changed)", text: "Then go.")
    fill_in "Test text", with: "See approx. Five. And go."
    expect(page).to have_css(".cut-text li.changed", text: "Five.")
    expect(sources(document).first).to eq("Load approx. Half the box.")
    click_button "Save for this project"
    expect(page).to have_text("Rules of this project.", wait: 25)
    eventually { expect(sources(document).first(3)).to eq(["Load approx.", "Half the box.", "Then go."]) }
    expect(document.segments.find_by(source: "Then go.")).to have_attributes(
      target: "Poi via.",
      state: "translated"
    )

    click_button "Add rule"
    find("[aria-label='Text before the break, rule 1']").set("(")
    expect(page).to have_css("[role=alert]", text: "The rule “(” is not a valid regular expression")
    expect(page).to have_button("Save for this project", disabled: true)
    click_button "Delete rule 1"
    click_button "Reset to the rules for all projects"
    expect(page).to have_text("Default rules of Glossema.")
    eventually { expect(sources(document).first).to eq("Load approx. Half the box.") }
    find("input[type=file]", visible: :all).set(
      file("own.srx", Glossema::Segmentation::Srx.default.excepting("en", "box.").xml)
    )
    expect(page).to have_text("1 translated segment no longer matches a segment", wait: 25)
    click_button "Segment again"
    eventually { expect(sources(document).first).to eq("Load approx. Half the box. Then go.") }
  end

  it "splits and joins the open segment by keys, and never again after a text" do
    project =
      make_project(
        user,
        "Use two red straps. Mind the qty. Ten is enough. Done.\nNext one.\n",
        name: "leaflet.txt"
      )
    document = project.documents.first
    sign_in(user, to: "/projects/#{project.id}/translate")
    editor.click
    type("Usa due cinghie rosse.")
    press(:alt, "x")
    cut = find("[role=slider]")
    expect(cut["aria-valuetext"]).to match(/between/)
    press(:home)
    press(:arrow_right)
    expect(find("[role=slider]")["aria-valuetext"]).to eq("between “two” and “red”")
    expect(faults).to eq([])
    press(:enter)
    expect(page).to have_css(".card .source", text: "Use two")
    expect(page).to have_css(".pair .source", text: "red straps.")
    # The page beside it is cut anew as well.
    expect(page).to have_css(".sheet-page [data-segment]", exact_text: "cinghie rosse.")
    expect(editor).to have_text("Usa due", exact: true)
    press(:alt, "j")
    expect(page).to have_css(".card .source", text: "Use two red straps.")
    expect(editor).to have_text("Usa due cinghie rosse.")

    find(".pair", text: "Mind the qty.").click
    expect(page).to have_css(".card .source", text: "Mind the qty.")
    press(:alt, "j")
    expect(page).to have_css(".card .source", text: "Mind the qty. Ten is enough.")
    click_button "Add no-break rule after “qty.”"
    eventually do
      expect(
        Rules.new(project.reload).srx.to_h.find { |group| group["name"] == "English" }["rules"].first
      ).to include("before" => "\\bqty\\.", "break" => false)
    end
    find(".pair", text: "Done.").click
    expect(page).to have_css(".card .source", text: "Done.")
    press(:alt, "j")
    expect(page).to have_text(
      "The segments were not joined. The next segment is in another paragraph, cell or entry."
    )
    expect(sources(document)).to eq(
      ["Use two red straps.", "Mind the qty. Ten is enough.", "Done.", "Next one."]
    )
  end

  it "undoes by key what was written, joined and confirmed before, also what the memory learned" do
    project = make_project(user, "Stay calm. Ring the bell. Go on.\nLast.\n", name: "leaflet.txt")
    document = project.documents.first
    memory = project.memories.first
    sign_in(user, to: "/projects/#{project.id}/translate")
    editor.click
    type("Restare calmi.")
    press(:control, :enter)
    expect(page).to have_css(".card .source", text: "Ring the bell.")
    eventually { expect(memory.units.pluck(:target)).to eq(["Restare calmi."]) }
    press(:alt, "j")
    expect(page).to have_css(".card .source", text: "Ring the bell. Go on.")
    press(:alt, "z")
    eventually { expect(sources(document)).to eq(["Stay calm.", "Ring the bell.", "Go on.", "Last."]) }
    expect(page).to have_css(".card .source", exact_text: "Ring the bell.")
    press(:alt, "z")
    expect(page).to have_css(".card .source", text: "Stay calm.")
    eventually { expect(memory.units.reload.count).to eq(0) }
    expect(document.segments.first.reload).to have_attributes(target: "", state: "untouched")
    press(:alt, :shift, "z")
    eventually { expect(memory.units.reload.pluck(:target)).to eq(["Restare calmi."]) }
  end

  it "takes a newer version in after showing what it does, and puts the old one back" do
    project = make_project(user, text, name: "leaflet.txt")
    project.documents.first.segments.each do |segment|
      segment.confirm("IT #{segment.source}", origin: { "kind" => "typed" }, by: user)
    end
    sign_in(user, to: "/projects/#{project.id}/brief")
    find("input[aria-label='New version …: leaflet.txt']", visible: :all).set(
      file(
        "leaflet-2.txt",
        "Load approx. Half the box. Then go.\nCheck the blue brake lever twice.\nA last word.\n"
      )
    )
    expect(page).to have_css(".version", text: "leaflet-2.txt changes in the new version:")
    expect(all(".version li").map(&:text)).to eq(
      [
        "2 segments unchanged (7 words), with their translations and history",
        "1 segment changed (6 words): the old translation becomes a draft, with differences marked",
        "1 segment new (3 words)",
        "1 segment removed, 1 translated"
      ]
    )
    expect(faults).to eq([])
    expect(project.reload.documents.map(&:name)).to eq(["leaflet.txt"])
    click_button "Update file"
    expect(page).to have_css(".files .name", text: "leaflet-2.txt")
    click_link "Translate", match: :first
    expect(page).to have_css(".card .source", text: "Check the blue brake lever twice.")
    expect(card).to have_css(".foot", text: "from before the source changed")
    expect(card).to have_css(".proposals ins", text: "blue").and have_css(".proposals del", text: "red")
    expect(editor).to have_text("IT Check the red brake lever twice.")
    click_link "Brief"
    click_button "Restore previous version"
    expect(page).to have_css(".files .name", exact_text: "leaflet.txt")
    expect(project.reload.segments.pluck(:state).uniq).to eq(["translated"])
  end

  it "delivers ten files of ten formats as one ZIP, every file proved" do
    names = %w[
      prices.xlsx page.html app.json course.xlf notes.md film.srt dealer.pptx strings.xml app.po sizes.odt
    ]
    sign_in(user)
    find("input[type=file]", visible: :all).set(names.map { |name| File.expand_path("demo/formats/#{name}") })
    expect(page).to have_text("10 files, 10 to translate", wait: 30)
    find("[aria-label^='Target language:']").click
    find("input[aria-label='Target language']").set("it-IT").send_keys(:enter)
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
    expect(page).to have_button("Create project", disabled: false)
    click_button "Create project"
    expect(page).to have_css(".card", wait: 15)
    project = Project.last
    project.segments.each do |segment|
      segment.update!(target: Glossema::Pseudo.translate(segment.source_content).written, state: "translated")
    end
    visit "/projects/#{project.id}/deliver"
    # Pseudo-words are in no dictionary.
    click_button "Deliver anyway"
    expect(page).to have_css("b", text: "prices_it-IT.xlsx", wait: 20)
    files = project.deliveries.last.files
    expect(files.map { |one| [one.name, one.proof["differences"]] }).to match_array(
      names.map { |name| ["#{File.basename(name, ".*")}_it-IT#{File.extname(name)}", []] }
    )
    click_link "Download all (ZIP)"
    path = nil
    eventually { expect(path = Dir[File.join(Browsing::DOWNLOADS, "*.zip")].first).not_to be_nil }
    expect(
      Zip::File.open(path) { |zip| zip.entries.map { |entry| File.basename(entry.name) } }
    ).to match_array(files.map(&:name))
  end
end
