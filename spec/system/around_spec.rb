# What stands around the work: accounts, Today, memories, themes, addresses, a narrow window.
RSpec.describe "Around the work" do
  it "begins on an empty database with an account of her own" do
    visit "/"
    expect(faults).to eq([])
    click_button "New here? Create an account."
    fill_in "Your name", with: "Anneke Vos"
    fill_in "Email", with: "anneke@vos.example"
    fill_in "Password", with: "a long password"
    click_button "Create account"
    expect(page).to have_css("h1", text: "No projects yet")
    expect(page).to have_css("ol li", count: 3)
    expect(faults).to eq([])
    click_button "Your menu: Anneke Vos"
    click_button "Sign out"
    expect(page).to have_button("Sign in")
    fill_in "Email", with: "anneke@vos.example"
    fill_in "Password", with: "a wrong password"
    click_button "Sign in"
    expect(page).to have_css("[role=alert]", text: "The email or the password is not correct.")
  end

  it "shows what is due in order of time, and goes on with one key" do
    user = make_user
    late, soon = make_project(user), make_project(user, "Check the brakes.", name: "b.txt")
    late.update!(name: "Late", due_at: 2.days.ago, opened_at: 1.hour.ago)
    soon.update!(name: "Soon", due_at: 2.days.from_now, opened_at: Time.current)
    sign_in(user)
    expect(all(".agenda h2").map(&:text)).to eq(%w[Late Soon])
    expect(find(".agenda li", text: "Late")).to have_css(".alarm", text: "overdue")
    expect(page).to have_css(".go-on", text: "You last worked in Soon, segment 1 of 1")
    press(:enter)
    expect(page).to have_css(".card .source", text: "Check the brakes.")
    expect(page).to have_current_path(%r{/projects/#{soon.id}/translate})
  end

  it "has an address for every view and every segment" do
    user = make_user
    project = make_project(user)
    third = project.segments.find_by(position: 3)
    sign_in(user, to: "/projects/#{project.id}/translate##{third.id}")
    expect(card).to have_css(".source", text: "Never leave a child alone.")
    click_link "Deliver"
    find(".open-item summary", match: :first).click
    click_link "Ask your dealer."
    expect(card).to have_css(".source", text: "Ask your dealer.")
    page.go_back
    expect(page).to have_css("h2", text: "Open items")
    visit "/projects/999999/brief"
    expect(page).to have_css("[role=alert]",
      text: "This item does not exist, or you do not have access to it.")
    visit "/nowhere"
    expect(page).to have_css(".today")
  end

  it "is as readable in the dark, and remembers it" do
    user = make_user
    memory = make_memory(user, { "Check the straps now." => "Ricontrollare le cinghie." })
    project = make_project(user, memories: [{ "memory_id" => memory.id }])
    sign_in(user)
    click_button "Your menu: #{user.name}"
    click_button "Dark"
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
    [
      "/",
      "/projects/#{project.id}/brief",
      "/projects/#{project.id}/translate",
      "/projects/#{project.id}/deliver",
      "/memories"
    ].each do |path|
      visit path
      expect(page).to have_css("main > *")
      expect(page.evaluate_script("document.documentElement.scrollWidth - window.innerWidth")).to be <= 0,
        path
    end
    expect(page).to have_css("main")
  ensure
    page.current_window.resize_to(1280, 800)
  end
end
