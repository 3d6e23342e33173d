# Long work in a real browser: seen from every page, waited for elsewhere, cancelled, tried again and undone.
RSpec.describe "Operations" do
  let(:user) { make_user }
  let(:memory) { make_memory(user, [["Check the straps.", "Controllare le cinghie."]]) }

  # Another operation has the memory in hand.
  def hold
    Operations::UnitBulkEdit.create!(subject: memory, user: user, weight: "bulk", state: "running",
      active: true)
  end

  def release(operation)
    operation.update!(state: "done", active: false)
    Operation.wake
  end

  def import(name, *texts)
    path = File.join(Dir.mktmpdir, name)
    File.write(path, "source\ttarget\n#{texts.map { |text| "#{text}\tIn italiano: #{text}" }.join("\n")}")
    visit "/memories/#{memory.id}"
    attach_file("Import units: #{memory.name}", path, make_visible: true)
    click_button "Import"
  end

  before { sign_in(user) }

  it "are followed from every page while they wait and run, and undone in Activity" do
    holding = hold
    import("units.tsv", "Oil the chain.", "Ring the bell.")
    find(".tray[aria-label='2 operations in progress']")
    visit "/clients"
    find(".tray").click
    within(".operation-tray") do
      expect(page).to have_text("Importing units · units.tsv · Waiting for another operation here: " \
        "Editing units")
    end
    expect(faults).to eq([])
    release(holding)
    expect(page).to have_no_css(".tray")
    visit "/memories/#{memory.id}"
    expect(page).to have_css(".unit", count: 3)
    click_button "Activity"
    expect(page).to have_css(".activity li", text: "units.tsv: 2 added")
    within(".activity li", text: "units.tsv") { click_button "Undo" }
    expect(page).to have_css(".activity .undone", text: "units.tsv")
    expect(memory.units.reload.map(&:source)).to eq(["Check the straps."])
  end

  it "are cancelled from any page, and tried again" do
    holding = hold
    import("units.tsv", "Oil the chain.")
    visit "/clients"
    find(".tray").click
    click_button "Cancel: Importing units · units.tsv"
    expect(page).to have_no_css(".operation-tray li", text: "units.tsv")
    release(holding)
    visit "/memories/#{memory.id}"
    click_button "Activity"
    entry = find(".activity li", text: "units.tsv")
    expect(entry).to have_text("Cancelled")
    expect(memory.units.count).to eq(1)
    entry.click_button("Try again")
    expect(page).to have_css(".activity li", text: "units.tsv: 1 added")
    expect(faults).to eq([])
  end
end
