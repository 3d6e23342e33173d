# Brief: everything on one page, changed where it stands.
RSpec.describe "Brief" do
  let(:user) { make_user }
  let(:folder) { Dir.mktmpdir }

  def file(name, bytes) = File.join(folder, name).tap { |path| File.binwrite(path, bytes) }

  def drop(*paths)
    sign_in(user)
    find("input[type=file]", visible: :all).set(paths)
    expect(page).to have_css(".files .figure", text: /\d/)
  end

  def change(label, text)
    find("[aria-label^='#{label}:']").click
    field = find("input[aria-label='#{label}']")
    field.set(text)
    field.send_keys(:enter)
    expect(page).to have_css("[aria-label='#{label}: #{text}']")
  end

  it "takes files one after the other, and out again" do
    drop(file("one.txt", "Check the brakes. Check the tyres."))
    expect(page).to have_css(".files .small", text: "Text · English · by sentence · Options · 2 segments")
    first(".brief input[type=file]", visible: :all).set(file("two.docx", manual_docx))
    expect(page).to have_text("2 files, 2 to translate")
    find("[aria-label='Remove: one.txt']").click
    expect(page).to have_text("1 file, 1 to translate")
    expect(page).to have_no_css(".files .name", text: "one.txt")
    click_button "Undo"
    expect(page).to have_text("2 files, 2 to translate")
  end

  # A file that takes some seconds to be uploaded.
  def upload_slowly
    slow = { offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: 30_000 }
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp("Network.emulateNetworkConditions", **slow)
    find("input[type=file]", visible: :all)
      .set(file("long.txt", "Check the brakes before you ride.\n" * 4_000))
    expect(page).to have_css(".sending")
    yield
  ensure
    page.driver.browser.execute_cdp("Network.disable")
  end

  it "applies the target language that is chosen during an upload" do
    sign_in(user)
    upload_slowly do
      find("[aria-label='Target language: choose later']").click
      type("italian, it")
      press(:enter)
      expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
      expect(page).to have_current_path("/projects/#{user.projects.sole.id}/brief", wait: 20)
    end
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
    expect(user.projects.sole.target_lang).to eq("it-IT")
  end

  it "offers the new project where the user has gone elsewhere during the upload" do
    sign_in(user)
    upload_slowly do
      click_link "Memories"
      expect(page).to have_text("The new project is ready.", wait: 20)
    end
    expect(page).to have_current_path("/memories")
    click_button "Open"
    expect(page).to have_current_path("/projects/#{user.projects.sole.id}/brief")
  end

  it "changes name, reference, subject and cutting in place, and keeps it all over a reload" do
    drop(file("one.txt", "Check the brakes. Check the tyres. Ride slowly."))
    change("Name", "Winter checks")
    change("Reference", "TRN-X1")
    change("Subject field", "Bicycles, leaflets")
    click_button "one.txt: by sentence"
    click_button "by paragraph"
    expect(page).to have_css(".files .small", text: "by paragraph · Options · 1 segment")
    visit current_path
    expect(page).to have_css("h1", text: "Winter checks")
    expect(page).to have_css("[aria-label='Reference: TRN-X1']")
    expect(Project.last).to have_attributes(name: "Winter checks", subject: "Bicycles, leaflets")
  end

  it "adds a client on the spot, whose code goes into the reference" do
    drop(file("one.txt", "Check the brakes of the kiln before you open it."))
    find("[aria-label^='Client:']").click
    type("Pell & Rook Ceramics")
    press(:enter)
    expect(page).to have_css("[aria-label='Client: Pell & Rook Ceramics']")
    expect(page).to have_css("[aria-label='Reference: PEL-#{Time.current.strftime("%y")}01']")
    expect(user.clients.pluck(:name)).to eq(["Pell & Rook Ceramics"])
  end

  it "orders memories, says when each learns, takes points off and makes a new one" do
    make_memory(user, { "Check the brakes." => "Controllare i freni." }, name: "First")
    make_memory(user, { "Check the tyres." => "Controllare gli pneumatici." }, name: "Second")
    user.memories.create!(name: "Dutch", source_lang: "en-GB", target_lang: "nl-NL")
    drop(file("one.docx", manual_docx([["p", "Check the brakes."], ["p", "Check the tyres."]])))
    find("[aria-label^='Target language:']").click
    type("it-it")
    press(:enter)
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
    %w[First Second].each do |name|
      find("[aria-label^='Add memory:']").click
      expect(page).to have_no_css(".ant-select-item-option", text: "Dutch")
      find(".ant-select-item-option", text: name).click
      expect(page).to have_css(".stock .name", text: name)
    end
    expect(page).to have_css(".legend li", text: "exact or context match 6")

    click_button "Second: learns when I deliver"
    click_button "Move up"
    expect(page).to have_css(".stock li:nth-child(2) .name", text: "Second")
    click_button "First: learns when I deliver"
    click_button "read-only"
    expect(page).to have_css(".stock li:nth-child(3)", text: "read-only")
    expect(Project.last.attachments.map { |row| [row.memory.name, row.learns, row.read_only] }).to eq(
      [["Second", "deliver", false], ["First", "deliver", true]]
    )

    find("[aria-label^='Add memory:']").click
    type("Spring work")
    press(:enter)
    expect(page).to have_css(".stock .name", text: "Spring work")
    expect(user.memories.find_by!(name: "Spring work")).to have_attributes(
      source_lang: "en-GB",
      target_lang: "it-IT"
    )
  end

  it "waits with a brief that was left, and puts it away" do
    drop(file("left.txt", "Check the brakes."))
    click_link "Glossema"
    expect(page).to have_css(".side-list", text: "Left")
    click_button "Delete: Left"
    expect(page).to have_no_css(".side-list")
    click_button "Your menu: Ines Calloway"
    click_link "Trash"
    expect(faults).to eq([])
    click_button "Restore: Left"
    expect(page).to have_text("The Trash is empty")
    click_link "Glossema"
    expect(page).to have_css(".side-list", text: "Left")
  end

  it "says what would stay out before it begins, and begins without it when told so" do
    drop(file("good.txt", "Check the brakes before you ride, and ride slowly in the rain."),
      file("broken.docx", manual_docx[0, 900]))
    expect(page).to have_css(".files .alarm", text: "Not imported: broken.docx is damaged")
    find("[aria-label^='Target language:']").click
    type("it-it")
    press(:enter)
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
    click_button "Create project"
    expect(page).to have_css("[role=alert]", text: "This file would not be included: broken.docx")
    eventually do
      expect(page.evaluate_script("document.activeElement.textContent")).to eq("Create anyway")
    end
    expect(faults).to eq([])
    click_button "Cancel"
    expect(page).to have_button("Create project")
    click_button "Create project"
    click_button "Create anyway"
    expect(page).to have_css(".card")
    expect(Project.last.documents.map(&:name)).to contain_exactly("good.txt", "broken.docx")
    click_link "Deliver"
    expect(page).to have_css(".files-to-deliver li", text: "good.txt", count: 1)
    expect(page).to have_text("Not imported and not delivered: broken.docx")
  end
end
