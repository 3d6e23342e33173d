# A whole round: the sheet out, edited by a word processor, back, its changes taken and left by key.
require_relative "../../core/spec/support/office"

RSpec.describe "Review" do
  let(:user) { make_user }
  let(:project) do
    make_project(user, manual_docx([["p", "Check the chain."], ["p", ["<w:b/>", "Warning:"], " hot"],
                                    ["p", "Stop now."]]))
  end
  let(:segments) { project.segments.order(:position).to_a }
  let(:round) { project.review_rounds.first }

  before do
    ["Controllare la catena.", "{1}Avvertenza:{/1} caldo", "Fermarsi."].zip(segments) do |text, segment|
      segment.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    sign_in(user, to: "/projects/#{project.id}/review")
  end

  def send_out
    expect(page).to have_css("h1", text: "New review round")
    expect(faults).to eq([])
    find("label", text: "review sheet (DOCX)").click
    fill_in "Reviser", with: "Matteo Ferrante"
    click_button "Create"
    expect(page).to have_css("h1", text: "With Matteo Ferrante")
  end

  def come_back(*edits)
    bytes = Office.edit(on_disk_round.sheet.download, [["track", true], *edits])
    path = File.join(Dir.mktmpdir, "back.docx")
    File.binwrite(path, bytes)
    find(".review .drop input", visible: :all).set(path)
    expect(page).to have_css("h1", text: "Returned by Matteo Ferrante")
  end

  def on_disk_round = ReviewRound.uncached { ReviewRound.last }

  it "goes out, comes back, and is decided by key, each with a way back" do
    send_out
    expect(faults).to eq([])
    come_back(%w[replace Controllare Verificare], %w[replace Fermarsi Arrestarsi], ["replace", "‹1›", ""])
    expect(page).to have_text("3 changes: 0 accepted, 0 rejected, 3 to decide")
    expect(page).to have_css(".changes ins", text: "Verificare")
    expect(page).to have_css(".changes del", text: "Controllare")
    expect(page).to have_css(".changes .refused", text: "Missing codes: {1}.")
    expect(faults).to eq([])
    find(".changes li:first-child .fix").send_keys(:enter)
    expect(page).to have_text("1 accepted, 0 rejected, 2 to decide")
    expect(on_disk(segments[0])).to have_attributes(target: "Verificare la catena.", state: "reviewed")
    eventually { expect(page.evaluate_script("document.activeElement.dataset.walked")).to eq("true") }
    press(:backspace)
    expect(page).to have_text("1 accepted, 1 rejected, 1 to decide")
    click_button "Undo all decisions"
    expect(page).to have_text("0 accepted, 0 rejected, 3 to decide")
    eventually { expect(on_disk(segments[0]).target).to eq("Controllare la catena.") }
    click_button "Accept and restore codes"
    expect(page).to have_text("1 accepted, 0 rejected, 2 to decide")
    click_button "Accept all remaining (2)"
    expect(page).to have_text("3 accepted, 0 rejected, 0 to decide")
    click_button "Close round"
    expect(page).to have_text("Round closed")
    visit "/projects/#{project.id}/translate##{segments[0].id}"
    expect(page).to have_css(".card .foot", text: "from review by Matteo Ferrante")
  end

  it "says what was not as it went out, and refuses a sheet that is not ours" do
    send_out
    find(".review .drop input", visible: :all).set(File.join(Dir.mktmpdir, "x.docx").tap { |path|
      File.binwrite(path, manual_docx)
    })
    expect(page).to have_text("was not imported. It is not a review sheet")
    come_back(["track", false], ["remove_row", 1], ["add_row", "Nuovo"])
    expect(page).to have_css(".strange", text: "Row 1 is missing from the sheet")
    expect(page).to have_css(".strange", text: "A row was added and is not imported: Nuovo")
    expect(page).to have_text("No changes.")
  end

  it "gives work away as a package, which a colleague opens, hands back, and which is taken in" do
    colleague = make_user("Anneke Vos")
    expect(page).to have_css("h1", text: "New review round")
    find("label", text: "hand-over package (ZIP)").click
    fill_in "Reviser", with: "Anneke Vos"
    fill_in "Task", with: "translate"
    expect(faults).to eq([])
    click_button "Create"
    expect(page).to have_css("h1", text: "With Anneke Vos")
    package = File.join(Dir.mktmpdir, "work.zip")
    File.binwrite(package, on_disk_round.sheet.download)

    Capybara.reset_sessions!
    sign_in(colleague)
    find("input[type=file]", visible: :all, match: :first).set(package)
    expect(page).to have_text("Hand-over package from #{user.name}")
    expect(page).to have_css(".in-hand-over", text: "7 words in 3 segments")
    click_button "Open as a project"
    expect(page).to have_css(".card")
    own = colleague.projects.first
    own.segments.order(:position).last.confirm("Arrestarsi.", origin: { "kind" => "typed" }, by: colleague)
    visit "/projects/#{own.id}/deliver"
    expect(page).to have_text("Received from #{user.name} as a hand-over.")
    expect(page).to have_button("Export hand-back")
    returned = File.join(Dir.mktmpdir, "back.zip")
    File.binwrite(returned, HandOver::Back.new(own.reload).bytes)

    Capybara.reset_sessions!
    sign_in(user, to: "/projects/#{project.id}/review")
    find(".review .drop input", visible: :all).set(returned)
    expect(page).to have_css(".changes li", count: 1, text: "Arrestarsi")
    click_button "Accept all remaining (1)"
    eventually { expect(on_disk(segments[2]).target).to eq("Arrestarsi.") }
  end

  it "divides the words between two, each of whom reads the other’s share and writes in her own" do
    make_user("Anneke Vos")
    colleague = make_user("Matteo Ferrante")
    find("label", text: "hand-over package (ZIP)").click
    fill_in "Reviser", with: "Anneke Vos, Matteo Ferrante"
    expect(page).to have_css(".shares li", count: 2)
    expect(page).to have_css(".shares", text: "Matteo Ferrante: 4 words, manual.docx 2 to manual.docx 3")
    expect(faults).to eq([])
    click_button "Create"
    expect(page).to have_css(".review aside li", count: 2)
    package = File.join(Dir.mktmpdir, "share.zip")
    File.binwrite(package, ReviewRound.uncached {
      ReviewRound.find_by(reviser: "Matteo Ferrante").sheet.download
    })

    Capybara.reset_sessions!
    sign_in(colleague)
    find("input[type=file]", visible: :all, match: :first).set(package)
    expect(page).to have_css(".in-hand-over", text: "4 words in 2 segments")
    click_button "Open as a project"
    expect(page).to have_css(".card", text: "Avvertenza")
    expect(page).to have_css(".pair.locked:disabled", count: 1, text: "not part of your share")
    expect(page).to have_text("of 4 words")
    press(:alt, :page_up)
    expect(page).to have_css(".card", text: "Avvertenza")
    press(:alt, :page_down)
    expect(page).to have_css(".card", text: "Fermarsi.")
  end

  it "sends out what a filter of the text leaves" do
    visit "/projects/#{project.id}/translate"
    expect(page).to have_no_link("Send for review")
    click_button "Filter segments"
    fill_in "Text", with: "chain"
    press(:escape)
    click_link "Send for review"
    expect(page).to have_text("1 segment, as filtered in Translate")
    find("label", text: "review sheet (DOCX)").click
    fill_in "Reviser", with: "Matteo Ferrante"
    click_button "Create"
    expect(page).to have_text("sent ")
    eventually { expect(on_disk_round.base.keys).to eq([segments[0].id.to_s]) }
  end

  it "keeps a whole project as one file, which opens again on Today" do
    visit "/projects/#{project.id}/brief"
    click_button "Export project archive"
    eventually { expect(Dir[File.join(Browsing::DOWNLOADS, "*.zip")].size).to eq(1) }
    kept = File.join(Dir.mktmpdir, "kept.zip")
    File.binwrite(kept, ProjectArchive::Out.new(project).bytes)
    visit "/"
    find("input[type=file]", visible: :all, match: :first).set(kept)
    expect(page).to have_text("Project archive from #{user.name}")
    expect(faults).to eq([])
    click_button "Open as a project"
    expect(page).to have_css(".card")
    eventually { expect(user.projects.count).to eq(2) }
    expect(page).to have_text("Controllare la catena.")
  end
end
