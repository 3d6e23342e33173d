# Check: findings walked by key, put right alone or all that is certain, let stand and looked at again.
RSpec.describe "Check" do
  let(:user) { make_user }
  let(:project) do
    make_project(user, "It weighs 12 kg.\n\nOil the chain.\n\nStop now.\n\nFit the rack.", name: "b.txt")
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    ["Pesa 13 kg.", "Oliare la la catena.", "Fermarsi  subito.",
     "Montare il portapacchi."].zip(segments) do |text, one|
      one.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    sign_in(user, to: "/projects/#{project.id}/check")
    expect(page).to have_css(".findings li", count: 3)
  end

  def messages = all(".findings .message").map { |one| one.text.tr("\n", " ") }

  def walk_to(index)
    page.execute_script("document.querySelectorAll('.findings .finding')[#{index}].focus()")
  end

  it "shows what and where, narrows by several conditions, orders, and leads to the text" do
    expect(messages).to eq(["must fix: 12 in the source is 13 in the target.",
                            "have a look: “la” is repeated.",
                            "have a look: There are double spaces."])
    expect(page).to have_css(".must-fix .finding .target mark", text: "13")
    expect(faults).to eq([])
    click_button "spaces 1"
    expect(page).to have_css(".findings > li", count: 1, text: "double spaces")
    click_button "must fix 0"
    expect(page).to have_css(".findings > li", count: 0)
    click_button "all 3"
    click_button "by type"
    expect(page).to have_css(".findings .heading h2", text: "letters and words")
    walk_to(1)
    press(:alt, "g")
    expect(page).to have_css(".card .gutter", text: "2")
  end

  it "tells of the open segment beside the text too, and puts right there" do
    visit "/projects/#{project.id}/translate##{segments[1].id}"
    expect(page).to have_css(".card .foot", text: "have a look: “la” is repeated.")
    find("[role=tab]", text: "Findings").click
    expect(page).to have_css(".segment-findings li", text: "“la” is repeated.")
    click_button "Apply fix"
    expect(page).to have_text("No findings in this segment.")
    expect(written).to eq("Oliare la catena.")
  end

  it "marks the text, narrows it to what has findings, and warns when something is confirmed" do
    visit "/projects/#{project.id}/translate##{segments[3].id}"
    expect(page).to have_css(".pair .found-mark.must-fix", count: 1)
    expect(page).to have_css(".pair .found-mark.look", count: 2)
    click_button "Filter segments"
    find(".filter label", text: "with “must fix” findings").click
    expect(page).to have_button("Filter segments: with “must fix” findings")
    press(:escape)
    expect(page).to have_no_css(".filter")
    expect(page).to have_css(".row", count: 1, text: "It weighs 12 kg.")
    find(".row .pair").click
    press(:control, :enter)
    expect(page).to have_text("Segment 1 is saved with a warning: 12 in the source is 13 in the target.")
  end

  it "puts right by key, or all that is certain, each with a way back" do
    walk_to(0)
    press(:arrow_down)
    press(:alt, "f")
    expect(page).to have_css(".findings > li", count: 2)
    eventually { expect(on_disk(segments[1]).target).to eq("Oliare la catena.") }
    click_button "Undo"
    expect(page).to have_css(".findings > li", count: 3)
    click_button "Apply all safe fixes (2)"
    expect(page).to have_css(".findings > li", count: 1)
    eventually do
      expect(on_disk(segments[2])).to have_attributes(target: "Fermarsi subito.", state: "translated")
    end
    click_button "Undo"
    eventually { expect(on_disk(segments[2]).target).to eq("Fermarsi  subito.") }
  end

  it "is written in where it stands, and goes once its cause does" do
    walk_to(0)
    press(:enter)
    expect(page).to have_css(".findings .card [role=textbox]", text: "Pesa 13 kg.")
    expect(faults).to eq([])
    press(:control, "a")
    type("Pesa 12 kg.")
    expect(page).to have_css(".findings > li", count: 3)
    press(:control, :enter)
    expect(page).to have_css(".findings > li", count: 2)
    expect(on_disk(segments[0])).to have_attributes(target: "Pesa 12 kg.", state: "translated")
    expect(page.evaluate_script("document.activeElement.className")).to include("finding")
  end

  it "goes when its cause is put right elsewhere" do
    segments[1].reload.confirm("Oliare la catena.", origin: { "kind" => "typed" }, by: user)
    project.announce("segments", segments: [])
    expect(page).to have_css(".findings > li", count: 2)
  end

  it "lets one stand by key with a reason, set apart, and looks at it again when the text changes" do
    walk_to(0)
    press(:alt, :backspace)
    expect(page).to have_css(".stand-form")
    expect(faults).to eq([])
    type("as the client printed it")
    press(:enter)
    expect(page).to have_css(".findings > li", count: 2)
    click_button "let stand 1"
    expect(page).to have_css(".findings > li", text: "let stand by #{user.name}")
    expect(page).to have_css(".findings > li", text: "as the client printed it")
    click_button "Reopen finding"
    expect(page).to have_css(".findings > li", count: 0)
    click_button "all 3"
    expect(page).to have_css(".findings > li", count: 3)
    walk_to(0)
    press(:alt, :backspace)
    press(:enter)
    expect(page).to have_css(".findings > li", count: 2)
    segments[0].reload.confirm("Pesa 14 kg.", origin: { "kind" => "typed" }, by: user)
    project.announce("segments", segments: [])
    expect(page).to have_css(".findings > li", text: "12 in the source is 14 in the target.")
  end

  it "makes one wording of two" do
    other = make_project(user, "Oil the chain.\n\nOil the chain.", name: "c.txt")
    one, two = other.segments.order(:position).to_a
    one.confirm("Oliare la catena.", origin: { "kind" => "typed" }, by: user)
    two.reload.confirm("Lubrificare la catena.", origin: { "kind" => "typed" }, by: user)
    visit "/projects/#{other.id}/check"
    expect(page).to have_css(".findings > li", count: 2, text: "Translated differently in")
    first(:button, "Use this translation there").click
    expect(page).to have_css(".findings > li", count: 0)
    expect(on_disk(two)).to have_attributes(target: "Oliare la catena.", state: "translated")
    click_button "Undo"
    expect(page).to have_css(".findings > li", count: 2)
  end

  it "lists words that no dictionary knows, corrects one everywhere and keeps one as right" do
    segments[3].reload.confirm("Montare il xyzzy e la catenna.", origin: { "kind" => "typed" }, by: user)
    visit "/projects/#{project.id}/check/words"
    expect(page).to have_text("2 words in 2 segments")
    find(".misspelt-words > li", text: /\Axyzzy/).click_button("Add to my words")
    expect(page).to have_text("1 word in 1 segment")
    find(".misspelt-words .word", text: "catenna").click
    expect(page).to have_css(".correcting .suggestion")
    expect(faults).to eq([])
    fill_in "Correct “catenna” to", with: "catena"
    click_button "Correct everywhere"
    expect(page).to have_text("No misspelled or unknown words")
    expect(on_disk(segments[3]).target).to eq("Montare il xyzzy e la catena.")
    click_button "Undo"
    eventually { expect(on_disk(segments[3]).target).to eq("Montare il xyzzy e la catenna.") }
  end

  it "lays near twins beside each other, to be written in there" do
    long = "Check the pressure of the front tyre before every long ride."
    other = make_project(user, "#{long}\n\n#{long.sub("front", "rear")}", name: "t.txt")
    texts = ["Controllare la pressione della gomma.", "Prima di ogni uscita vedere la gomma."]
    texts.zip(other.segments.order(:position)) do |text, one|
      one.reload.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    visit "/projects/#{other.id}/check/alike"
    expect(page).to have_css(".twins li .source mark", text: "front")
    expect(page).to have_css(".twins li .source mark", text: "rear")
    expect(faults).to eq([])
    all(".twins .side").last.click
    expect(page).to have_css(".card [role=textbox]")
  end

  it "keeps a profile with a rule of her own, tried as she types" do
    click_link "default checks"
    expect(page).to have_text("Default checks")
    click_button "Add check"
    fill_in "Name", with: "Infinitive"
    fill_in "Target expression", with: "^Ferm"
    fill_in "Message", with: "not so"
    expect(page).to have_text("1 finding in this project.")
    fill_in "Target", with: "Fermarsi"
    expect(page).to have_text("Finding in this text.")
    expect(faults).to eq([])
    fill_in "Target expression", with: "("
    expect(page).to have_css("[role=alert]", text: "is not a valid regular expression")
    fill_in "Target expression", with: "^Ferm"
    click_button "Save for this project"
    expect(page).to have_text("Profile of this project")
    click_link "Findings"
    expect(page).to have_css(".findings > li", text: "Infinitive: not so")
    expect(page).to have_link("project profile")
  end

  it "prints what is open and what stands, and Deliver asks for it" do
    click_link "Print"
    expect(page).to have_css(".check-report li", count: 3)
    expect(faults).to eq([])
    visit "/projects/#{project.id}/deliver"
    expect(page).to have_text("1 segment has “must fix” findings")
    expect(faults).to eq([])
    find("summary", text: "Message to the client").click
    fill_in "Message to the client", with: "Here it is."
    click_button "Deliver anyway"
    expect(page).to have_text("Check: 1 must fix, 2 have a look, 0 let stand")
    expect(page).to have_css("h2", text: "Since delivery 1")
    expect(project.deliveries.first.message).to eq("Here it is.")
    segments[3].reload.confirm("Fissare il portapacchi.", origin: { "kind" => "typed" }, by: user)
    visit "/projects/#{project.id}/deliver"
    expect(page).to have_css(".since-last ins", text: "Fissare")
    expect(faults).to eq([])
  end

  it "looks at a long text in the background" do
    stub_const("Project::CheckRun::FEW", 1)
    CheckedSegment.delete_all
    visit "/projects/#{project.id}/check"
    expect(page).to have_css(".findings > li", count: 3)
    expect(page).to have_text("4 segments checked")
  end
end
