# Translating ahead and by machine: what would come is looked at first, written, taken back; the machine's
# proposal stands below the matches, and an untouched segment begins as she likes it.
RSpec.describe "Translating ahead", :stand_in do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt", machine: true) }
  let(:memory) { make_memory(user, [["Check the chain.", "Controllare la catena."]]) }
  let(:project) do
    text = "Check the chain.\n\nCheck the brake pads.\n\nCheck the chain now."
    memories = [{ "memory_id" => memory.id, "learns" => "never" }]
    made = make_project(user, text, name: "b.txt", memories: memories)
    made.update!(client: client)
    made
  end

  before { sign_in(user) }

  def open_project
    visit "/projects/#{project.id}/translate"
    expect(page).to have_css(".card")
  end

  def targets = project.segments.order(:position).map { |one| one.reload.target }

  it "looks what would come from where, writes it, and takes it back" do
    open_project
    click_button "Pre-translate"
    click_button "Preview"
    expect(page).to have_css(".pretranslate-origins", text: "memories, exact match")
    expect(page).to have_css(".pretranslate-origins tr", text: "not pre-translated")
    expect(targets).to eq(["", "", ""])
    within(".ant-modal") { click_button "Pre-translate" }
    expect(page).to have_text("Pre-translated segments by origin")
    expect(targets.first).to eq("Controllare la catena.")
    expect(targets[1]).to eq("")
    click_button "Undo"
    expect(page).to have_no_css(".pretranslate-origins")
    eventually { expect(targets).to eq(["", "", ""]) }
    expect(faults).to eq([])
  end

  it "sets a service up, tries it, and offers what the machine gives below the matches" do
    visit "/settings/machine"
    click_button "Add service"
    fill_in "Name", with: "Stand-in"
    fill_in "Address", with: "nowhere"
    fill_in "Key", with: WithStandIn::KEY
    click_button "Save"
    expect(page).to have_text("“nowhere” is not a valid service address.")
    fill_in "Address", with: stand_in("translate")
    click_button "Save"
    click_button "Test"
    expect(page).to have_text("all codes in place")
    find("label", text: "on").click
    eventually { expect(user.machine_services.active.count).to eq(1) }
    expect(faults).to eq([])
    open_project
    expect(page).to have_css(".proposals li", text: "Machine translation: Stand-in")
    expect(page).to have_css(".proposals li:first-of-type", text: "Controllare la catena.")
    visit "/settings/machine"
    expect(page).to have_text("1 text, 16 characters")
  end

  it "begins an untouched segment with its best match, below that with the machine" do
    user.machine_services.create!(name: "x", address: stand_in("translate"), active: true,
      key: WithStandIn::KEY, **Machine::TEMPLATES["lists"])
    user.prefer("on_open" => "machine", "on_open_from" => 95)
    open_project
    expect(editor).to have_text("Controllare la catena.")
    press(:alt, :page_down)
    expect(editor).to have_text("pastiglia")
    eventually { expect(project.segments.find_by(position: 2).reload.origin["kind"]).to eq("machine") }
    behave(fail: 500)
    MachineAnswer.delete_all
    press(:alt, :page_down)
    expect(page).to have_text("returned no translation")
    expect(written).to eq("")
  end
end
