# A whole alignment by keyboard: files dropped, the doubtful walked, put right, confirmed, into a memory
# that then gives a match.
RSpec.describe "Align" do
  let(:user) { make_user }
  let(:alignment) { user.alignments.last }
  let(:english) do
    html("Course page, spring", "What you will make", "In six evenings you throw and fire a set of 4 bowls.",
      "Bring an apron and a towel. We have everything else.", "The kiln is fired to 980 °C.",
      "Prices include clay, glazes and both firings.")
  end
  let(:italian) do
    html("Pagina del corso, primavera", "Che cosa realizzerete",
      "In sei serate si torniscono e cuociono 4 ciotole.",
      "Portate un grembiule e un asciugamano: al resto pensiamo noi.", "Il forno arriva a 980 °C.",
      "I prezzi comprendono argilla, smalti e le due cotture.")
  end

  def html(title, *texts) = "<h1>#{title}</h1>#{texts.map { |text| "<p>#{text}</p>" }.join}"

  def on_disk_beads
    Alignment.uncached { Alignment.find(alignment.id).beads }.map do |bead|
      [bead["source"].map { |item| item["text"] }, bead["target"].map { |item| item["text"] }, bead["state"]]
    end
  end

  def drop
    paths = { "course-en.html" => english, "course-it.html" => italian }.map do |name, text|
      File.join(Dir.mktmpdir, name).tap { |path| File.write(path, text) }
    end
    find(".align-list .drop input", visible: :all).set(paths)
    expect(page).to have_link("course-en")
    perform_until { page.has_text?("confirmed", wait: 0.2) }
  end

  def perform_until
    30.times do
      return if yield
    end
  end

  before do
    sign_in(user)
    click_link "Align"
    expect(page).to have_text("No alignments yet")
    expect(faults).to eq([])
    drop
    click_link "course-en"
    expect(page).to have_css(".bead", minimum: 5)
  end

  it "goes from two files to a memory that gives a match" do
    expect(faults).to eq([])
    press(:arrow_down)
    expect(page).to have_css(".bead-card", text: "Course page, spring")
    expect(faults).to eq([])
    press(:control, :enter)
    expect(page).to have_css(".bead.confirmed", text: "Course page, spring")
    click_button "Confirm all above"
    eventually { expect(on_disk_beads.count { |bead| bead.last == "confirmed" }).to be >= 3 }
    press(:alt, "z")
    eventually { expect(on_disk_beads.count { |bead| bead.last == "confirmed" }).to eq(1) }
    press(:alt, :shift, "z")
    eventually { expect(on_disk_beads.count { |bead| bead.last == "confirmed" }).to be >= 3 }
    find(".in-place", text: "no client").click
    type("Pell & Rook Ceramics")
    press(:enter)
    expect(page).to have_css(".in-place", text: "Pell & Rook Ceramics")
    find(".in-place", text: "no subject field").click
    type("ceramics")
    press(:enter)
    expect(page).to have_css(".in-place", text: "ceramics")
    find(".in-place", text: "new memory").click
    type("Courses")
    press(:enter)
    click_button "Add to memory"
    expect(page).to have_text(/ to “Courses”/)
    memory = Memory.uncached { user.memories.find_by(name: "Courses") }
    eventually { expect(memory.units.where(origin: "aligned").count).to be >= 3 }
    expect(memory.units.pluck(:client, :subject).uniq).to eq([["Pell & Rook Ceramics", "ceramics"]])
    project = make_project(user, "<p>What you will make</p>", name: "new.html",
      memories: [{ "memory_id" => memory.id, "learns" => "never" }])
    visit "/projects/#{project.id}/translate"
    expect(page).to have_css(".card .proposals", text: "Che cosa realizzerete")
  end

  it "is put right by key: joined, split, moved, cut, written, left out, with a note" do
    find("button.bead", text: "Bring an apron").click
    expect(page).to have_css(".bead-card", text: "Bring an apron")
    together = on_disk_beads.find { |bead| bead.first.include?("Bring an apron and a towel.") }
    if together.first.size == 1
      press("j")
      eventually {
        expect(on_disk_beads.map(&:first)).to include(["Bring an apron and a towel.",
                                                       "We have everything else."])
      }
    end
    press("s")
    eventually {
      expect(on_disk_beads.map(&:first)).to include(["Bring an apron and a towel."],
        ["We have everything else."])
    }
    press("e")
    expect(page).to have_css(".bead-card textarea:focus")
    press(:control, "a")
    type("Bring an apron.")
    press(:enter)
    eventually { expect(on_disk_beads.map(&:first)).to include(["Bring an apron."]) }
    press("x")
    eventually { expect(on_disk_beads.find { |bead| bead.first == ["Bring an apron."] }.last).to eq("left") }
    expect(page).to have_css(".bead-card .acts", text: "Include again")
    click_button "Note: note"
    type("ask Ada")
    press(:enter)
    eventually {
      expect(Alignment.uncached {
        Alignment.find(alignment.id).beads
      }.map { |bead| bead["note"] }).to include("ask Ada")
    }
    click_button "without a counterpart"
    expect(page).to have_text(/no counterpart|No pairs match/)
    expect(faults).to eq([])
  end
end
