# All projects in the browser: found, finished, brought back, deleted, restored, from the list, from Today and
# by the palette.
RSpec.describe "The list of projects" do
  let(:user) { make_user }

  before do
    ["Owner’s manual", "Kiln guide"].each_with_index do |name, index|
      make_project(user, "Text of number #{index}.", name: "#{index}.txt")
        .update!(name: name, due_at: (index + 1).days.from_now)
    end
  end

  def named = all(".project-list h2").map(&:text)
  def chip(name) = find(".state-chips button", text: /\A#{name}/)

  def menu(name, entry)
    click_button "More for #{name}"
    within("[role=dialog]") { click_button entry, exact: true }
  end

  it "finds, finishes and reopens, deletes and restores" do
    sign_in(user, to: "/projects")
    expect(page).to have_css(".project-list li", count: 2)
    expect(faults).to eq([])
    menu("Kiln guide", "Finish")
    expect(page).to have_css(".project-list li", count: 1)
    click_button "Undo"
    expect(page).to have_css(".project-list li", count: 2)
    menu("Kiln guide", "Finish")
    chip("Finished").click
    expect(page).to have_css(".project-list li", count: 1, text: "Kiln guide")
    visit current_url
    expect(page).to have_css(".state-chips [aria-pressed=true]", text: "Finished 1")
    menu("Kiln guide", "Reopen")
    expect(page).to have_text("No projects match these filters.")

    chip("In progress").click
    all(".project-list input").each(&:click)
    within(".selection") { click_button "Delete" }
    expect(page).to have_no_css(".project-list")
    chip("Trash").click
    expect(page).to have_css(".project-list li", count: 2)
    menu("Owner’s manual", "Restore")
    chip("In progress").click
    expect(page).to have_css(".project-list li", count: 1)
    fill_in "Search by name, reference, client, file or text", with: "number 0"
    expect(page).to have_css(".project-list li", count: 1, text: "Owner’s manual")
    fill_in "Search by name, reference, client, file or text", with: "number 7"
    expect(page).to have_text("No projects match these filters.")
    click_button "Clear filters"
    expect(page).to have_css(".project-list li", count: 1)
  end

  it "is done from Today, the brief and the palette too" do
    sign_in(user, to: "/")
    menu("Kiln guide", "Finish")
    expect(page).to have_css(".agenda > li", count: 1)
    project = user.projects.find_by(name: "Owner’s manual")
    visit "/projects/#{project.id}/brief"
    click_button "Finish project"
    expect(page).to have_button("Reopen project")
    press(:control, "k")
    type("delete proj")
    press(:enter)
    expect(page).to have_current_path("/")
    expect(page).to have_css("h1", text: "No projects yet")
    expect(project.reload.deleted_at).not_to be_nil
  end
end
