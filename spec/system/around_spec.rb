# What stands around the work: accounts, Today, memories, themes, addresses, a narrow window.
RSpec.describe "Around the work" do
  it "begins on an empty database with an account of her own" do
    visit "/"
    expect(faults).to eq([])
    click_button "New here? Make an account."
    fill_in "Your name", with: "Anneke Vos"
    fill_in "Mail address", with: "anneke@vos.example"
    fill_in "Password", with: "a long password"
    click_button "Make an account"
    expect(page).to have_text("No projects yet")
    expect(page).to have_text("Nothing is due this week.")
    expect(faults).to eq([])
    click_button "Your menu: Anneke Vos"
    find(".ant-dropdown-menu-item", text: "Sign out").click
    expect(page).to have_button("Sign in")
    fill_in "Mail address", with: "anneke@vos.example"
    fill_in "Password", with: "a wrong password"
    click_button "Sign in"
    expect(page).to have_css("[role=alert]", text: "Mail address and password do not go together.")
  end

  it "shows what is due in order of time, and goes on with one key" do
    user = make_user
    late, soon = make_project(user), make_project(user, "Check the brakes.", name: "b.txt")
    late.update!(name: "Late", due_at: 2.days.ago, opened_at: 1.hour.ago)
    soon.update!(name: "Soon", due_at: 2.days.from_now, opened_at: Time.current)
    sign_in(user)
    expect(all(".agenda h2").map(&:text)).to eq(%w[Late Soon])
    expect(find(".agenda li", text: "Late")).to have_css(".alarm", text: "overdue")
    expect(page).to have_css(".go-on", text: "You were in Soon, segment 1 of 1")
    press(:enter)
    expect(page).to have_css(".card .source", text: "Check the brakes.")
    expect(page).to have_current_path(%r{/projects/#{soon.id}/translate})
  end

  it "has an address for every view and every segment" do
    user = make_user
    project = make_project(user)
    third = project.segments.find_by(position: 3)
    sign_in(user)
    visit "/projects/#{project.id}/translate##{third.id}"
    expect(card).to have_css(".source", text: "Never leave a child alone.")
    click_link "Deliver"
    click_link "Ask your dealer."
    expect(card).to have_css(".source", text: "Ask your dealer.")
    page.go_back
    expect(page).to have_css("h2", text: "Not done yet")
    visit "/projects/999999/brief"
    expect(page).to have_css("[role=alert]", text: "This does not exist, or is not yours.")
    visit "/nowhere"
    expect(page).to have_css(".today")
  end

  it "brings TMX in and out, says what was wrong with it, and deletes a memory only when she means it" do
    user = make_user
    sign_in(user)
    click_link "Memories"
    click_button "New memory"
    fill_in "Name", with: "Life’s work"
    find("[aria-label^='From:']").click
    type("english, united k")
    press(:enter)
    find("[aria-label^='Into:']").click
    type("it-it")
    press(:enter)
    click_button "Make it"
    expect(page).to have_css("h2", text: "Life’s work")
    expect(faults).to eq([])

    tmx = File.join(Dir.mktmpdir, "units.tmx")
    File.write(tmx,
               '<tmx version="1.4"><header/><body><tu><tuv xml:lang="en"><seg>Check.</seg></tuv><tuv xml:lang="it"><seg>Controllare.</seg></tuv></tu></body></tmx>')
    find("input[aria-label='Bring TMX in: Life’s work']", visible: :all).set(tmx)
    expect(page).to have_text("1 of 1 units were new and are in “Life’s work”.")
    expect(page).to have_css(".lines", text: "1 unit")
    File.write(tmx, "<tmx><body><tu>")
    find("input[aria-label='Bring TMX in: Life’s work']", visible: :all).set(tmx)
    expect(page).to have_text("units.tmx is damaged at line 1")

    click_button "Delete: Life’s work"
    click_button "Keep it"
    expect(user.memories.count).to eq(1)
    expect(page).to have_no_css(".ant-modal-wrap", visible: :visible)
    click_button "Delete: Life’s work"
    find(".ant-modal-confirm-btns button", text: "Delete").click
    expect(page).to have_text("No memory yet.")
    expect(user.memories.count).to eq(0)
  end

  it "is as readable in the dark, and remembers it" do
    user = make_user
    memory = make_memory(user, { "Check the straps now." => "Ricontrollare le cinghie." })
    project = make_project(user, memories: [{ "memory_id" => memory.id }])
    sign_in(user)
    click_button "Your menu: #{user.name}"
    find(".ant-dropdown-menu-item", text: "Dark").click
    expect(page).to have_css(":root[data-theme=dark]", visible: :all)
    visit "/projects/#{project.id}/translate##{project.segments.find_by(position: 2).id}"
    expect(page).to have_css(":root[data-theme=dark]", visible: :all)
    expect(card).to have_css(".proposals")
    expect(faults).to eq([])
  end

  it "keeps the text in a narrow window, without scrolling sideways" do
    user = make_user
    project = make_project(user)
    sign_in(user)
    page.current_window.resize_to(760, 800)
    ["/", "/projects/#{project.id}/brief", "/projects/#{project.id}/translate", "/projects/#{project.id}/deliver",
     "/memories"].each do |path|
      visit path
      expect(page).to have_css("main > *")
      expect(page.evaluate_script("document.documentElement.scrollWidth - window.innerWidth")).to be <= 0, path
    end
    expect(page).to have_css("main")
  ensure
    page.current_window.resize_to(1280, 800)
  end
end
