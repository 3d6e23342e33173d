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
    click_button "Translate ahead"
    click_button "Look what would come from where"
    expect(page).to have_css(".pretranslate-origins", text: "from memories, exact")
    expect(page).to have_css(".pretranslate-origins tr", text: "left to you")
    expect(targets).to eq(["", "", ""])
    click_button "Write them"
    expect(page).to have_text("This came from where.")
    expect(targets.first).to eq("Controllare la catena.")
    expect(targets[1]).to eq("")
    click_button "Take it back"
    expect(page).to have_no_css(".pretranslate-origins")
    eventually { expect(targets).to eq(["", "", ""]) }
    expect(faults).to eq([])
  end

  it "sets a service up, tries it, and offers what the machine gives below the matches" do
    visit "/settings/machine"
    click_button "Add a service"
    fill_in "Name", with: "Stand-in"
    fill_in "Address", with: "nowhere"
    fill_in "Key", with: WithStandIn::KEY
    click_button "Keep"
    expect(page).to have_text("“nowhere” is no address that a service can have.")
    fill_in "Address", with: stand_in("translate")
    click_button "Keep"
    click_button "Try it"
    expect(page).to have_text("codes came back in their places")
    find("label", text: "switched on").click
    eventually { expect(user.machine_services.active.count).to eq(1) }
    expect(faults).to eq([])
    open_project
    expect(page).to have_css(".proposals li", text: "By machine: Stand-in")
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
    expect(page).to have_text("gave no translation")
    expect(written).to eq("")
  end
end
