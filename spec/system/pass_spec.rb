# A pass inside by keyboard: read, corrected, remarked on; a colleague asked to read; the report.
RSpec.describe "A pass inside" do
  let(:user) { make_user }
  let(:colleague) { make_user("Matteo Ferrante") }
  let(:project) do
    make_project(user, manual_docx([["p", "Check the chain."], ["p", ["<w:b/>", "Warning:"], " hot"],
                                    ["p", "Stop now."]]))
  end
  let(:segments) { project.segments.order(:position).to_a }

  before do
    ["Controllare la catena.", "{1}Avvertenza:{/1} caldo", "Fermarsi."].zip(segments) do |text, segment|
      segment.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    colleague
    sign_in(user, to: "/projects/#{project.id}/review")
    expect(page).to have_css("h1", text: "New review round")
  end

  def open_passage(number) = find("button.plain", text: "Open segment #{number}", match: :first).click

  def rewrite(text)
    find(".passage.open [role=textbox]").click
    press(:control, "a")
    type(text)
  end

  it "is read by keyboard, from one segment to the next, and closed" do
    click_button "Start review"
    expect(page).to have_text("0 of 3 segments reviewed, 7 words left · 0 remarks")
    expect(faults).to eq([])
    open_passage(1)
    expect(page).to have_css(".passage.open [role=textbox]:focus", text: "Controllare la catena.")
    press(:control, :enter)
    expect(page).to have_css(".passage.open [role=textbox]:focus", text: "Avvertenza")
    expect(on_disk(segments[0]).state).to eq("reviewed")
    press(:alt, :page_down)
    expect(page).to have_css(".passage.open [role=textbox]:focus", text: "Fermarsi.")
    rewrite("Arrestarsi.")
    eventually { expect(ReviewPassage.uncached { ReviewPassage.last.draft }).to eq("Arrestarsi.") }
    visit current_path
    expect(page).to have_text("edited, not saved yet")
    open_passage(3)
    expect(page).to have_css(".passage.open [role=textbox]", text: "Arrestarsi.")
    press(:control, :enter)
    expect(page).to have_css(".passage ins", text: "Arrestarsi")
    expect(on_disk(segments[2])).to have_attributes(target: "Arrestarsi.", state: "reviewed")
    press(:control, :enter)
    expect(page).to have_text("3 of 3 segments reviewed, 0 words left")
    expect(page).to have_no_css(".passage.open")
    click_button "Close round"
    expect(page).to have_text("Round closed")
    expect(page).to have_button("Continue this round")
  end

  it "remarks on the words that are selected, by kind and severity, answered, settled and taken away" do
    click_button "Start review"
    open_passage(1)
    expect(page).to have_css(".passage.open [role=textbox]:focus")
    2.times { press(:shift, :control, :left) }
    press(:alt, "w")
    expect(page).to have_css(".remark-form q")
    expect(faults).to eq([])
    find(".remark-form label", text: "major").click
    find(".remark-form textarea").click
    type("Which chain?")
    press(:control, :enter)
    expect(page).to have_css(".remark", text: "Which chain?")
    remark = Note.remarks.last
    expect(remark).to have_attributes(error_type: "accuracy", severity: "major", segment_id: segments[0].id)
    expect(remark.spot).to include("side" => "target", "text" => a_string_matching(/catena/))
    expect(page).to have_css(".passage.open [role=textbox]:focus")
    click_button "Mark as resolved"
    expect(page).to have_css(".remark.settled")
    click_button "Delete"
    expect(page).to have_no_css(".remark")
    click_button "Undo"
    expect(page).to have_css(".remark", text: "Which chain?")
    click_button "with remarks"
    expect(page).to have_css(".passage", count: 1)
  end

  it "is read by a colleague who was asked to, whose proposals the owner decides, and is told in a report" do
    find("label", text: "a colleague reviews it").click
    fill_in "Email of the colleague’s account", with: colleague.email
    choose_right("can view and add remarks")
    click_button "Invite reviser"
    expect(page).to have_css("h1", text: "Reviser: Matteo Ferrante")
    Capybara.using_session(:colleague) { read_as_colleague }
    expect(page).to have_text("1 of 3 segments reviewed")
    expect(page).to have_css(".passage ins", text: "Verificare")
    click_button "1 change to decide"
    expect(page).to have_css("h1", text: "Changes by Matteo Ferrante")
    find(".changes .fix").send_keys(:enter)
    expect(page).to have_text("1 accepted")
    expect(on_disk(segments[0]).target).to eq("Verificare la catena.")
    click_link "Report"
    expect(page).to have_css("h1", text: "Report on review round 1")
    expect(page).to have_css(".figures", text: /Words reviewed\s+3.*Words changed\s+1/m)
    expect(faults).to eq([])
  end

  def choose_right(name)
    find(".new-round .ant-select").click
    find(".ant-select-item-option", text: name).click
  end

  def read_as_colleague
    sign_in(colleague)
    expect(page).to have_css(".to-review", text: "Review requests")
    expect(faults).to eq([])
    find(".to-review a").click
    expect(page).to have_text("#{user.name} asks you to review this text")
    open_passage(1)
    expect(page).to have_css(".passage.open [role=textbox]:focus")
    rewrite("Verificare la catena.")
    press(:control, :enter)
    expect(page).to have_text("proposed, not decided yet")
    expect(faults).to eq([])
  end
end
