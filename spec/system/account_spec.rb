# Her account, from the menu: name and pace, the password, an end to all sessions; and a forgotten password.
RSpec.describe "Account" do
  let(:user) { make_user }

  it "changes what she sets, and her password, and signs out everywhere" do
    sign_in(user)
    click_button "Your menu: Ines Calloway"
    click_link "Account"
    expect(faults).to eq([])
    fill_in "Name", with: "Ines C."
    fill_in "Words per hour", with: "420"
    click_button "Save"
    expect(page).to have_text("Saved.")
    expect(user.reload).to have_attributes(name: "Ines C.", words_per_hour: 420)

    fill_in "Current password", with: "wrong"
    fill_in "New password", with: "a longer one"
    click_button "Change password"
    expect(page).to have_text("The current password is not correct.")
    fill_in "Current password", with: "cargo-bicycle"
    click_button "Change password"
    expect(page).to have_text("Password changed")
    SignIn.create!(user: user, token: "x", used_at: 1.hour.ago, address: "203.0.113.7",
      agent: "Mozilla/5.0 (Windows NT 10.0) Firefox/140.0")
    page.refresh
    expect(page).to have_css(".signed-in li", count: 2)
    expect(page).to have_css(".signed-in li", text: "this browser")
    expect(faults).to eq([])
    click_button "Sign out: Firefox, Windows"
    expect(page).to have_css(".signed-in li", count: 1)
    click_button "Sign out everywhere"
    expect(page).to have_button("Sign in")
  end

  it "speaks Italian from now on where she chooses it, numbers and dates too" do
    project = make_project(user)
    project.update!(due_at: Time.zone.parse("2031-03-05 14:00"))
    sign_in(user, to: "/settings/account")
    find("label", text: "Language").find("[role=combobox]").click
    find(".ant-select-item", text: "Italiano").click
    expect(page).to have_css("h1", text: "Account")
    expect(page).to have_link("Oggi")
    click_link "Oggi"
    expect(page).to have_text("5 mar")
    expect(page).to have_text("parole rimaste")
    expect(user.reload.language).to eq("it")
    expect(faults).to eq([])
  end

  it "takes a second factor, which is asked for when she signs in" do
    sign_in(user, to: "/settings/account")
    fill_in "Password, to Set up", with: "cargo-bicycle"
    click_button "Set up"
    expect(page).to have_css("img.factor-picture")
    expect(faults).to eq([])
    totp = ROTP::TOTP.new(find(".second-factor code").text)
    fill_in "Code, to Confirm", with: totp.now
    click_button "Confirm"
    expect(page).to have_css(".recovery-codes li", count: 10)
    recovery = find(".recovery-codes li", match: :first).text
    expect(page).to have_text("10 recovery codes left")
    click_button "Sign out everywhere"
    fill_in "Email", with: user.email
    fill_in "Password", with: "cargo-bicycle"
    click_button "Sign in"
    expect(page).to have_text("Enter the code from your authenticator app")
    expect(faults).to eq([])
    fill_in "Code from your authenticator app, or a recovery code", with: recovery
    click_button "Sign in"
    expect(page).to have_css(".today h1")
    visit "/settings/account"
    fill_in "Password, to Switch off", with: "cargo-bicycle"
    expect(page).to have_button("Switch off", disabled: true)
    fill_in "Code, to Switch off", with: totp.at(30.seconds.from_now)
    click_button "Switch off"
    expect(page).to have_button("Set up", disabled: true)
    expect(user.reload).not_to be_second_factor
  end

  it "tells of backups" do
    folder = Dir.mktmpdir
    allow(Backup).to receive(:folder).and_return(Pathname(folder))
    sign_in(user, to: "/settings/backups")
    expect(page).to have_text("No backups yet.")
    expect(faults).to eq([])
    made = File.join(folder, "2026-11-20T03-00-00Z")
    FileUtils.mkdir_p(made)
    told = { "at" => "2026-11-20T03:00:00Z", "bytes" => 5_000_000, "files" => [{}, {}],
             "databases" => [{ "records" => { "users" => 1200 } }] }
    File.write(File.join(made, "manifest.json"), told.to_json)
    File.write(File.join(folder, "failed.json"),
      { at: "2026-11-21T03:00:00Z", message: "The disk is full." }.to_json)
    page.refresh
    expect(page).to have_text("Last successful backup: 20 Nov 2026")
    expect(page).to have_css(".backups-kept li", text: "5 MB, 2 files, 1,200 records")
    expect(page).to have_css(".alarm", text: "The disk is full.")
  end

  it "sets a new password by the link of a forgotten one" do
    token = user.generate_token_for(:password_reset)
    visit "/"
    fill_in "Email", with: user.email
    click_button "Forgot password?"
    expect(page).to have_text("you will get a link to set a new password")
    visit "/new-password/#{token}"
    expect(faults).to eq([])
    fill_in "New password", with: "a longer one"
    click_button "Set password"
    expect(page).to have_css(".today h1")
  end
end
