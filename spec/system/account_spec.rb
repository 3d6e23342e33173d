# Her account, from the menu: name and pace, the password, an end to all sessions; and a forgotten password.
RSpec.describe "Account" do
  let(:user) { make_user }

  it "changes what she sets, and her password, and signs out everywhere" do
    sign_in(user)
    click_button "Your menu: Ines Calloway"
    click_link "Account"
    expect(faults).to eq([])
    fill_in "Name", with: "Ines C."
    fill_in "Words an hour", with: "420"
    click_button "Keep"
    expect(page).to have_text("Kept.")
    expect(user.reload).to have_attributes(name: "Ines C.", words_per_hour: 420)

    fill_in "Password now", with: "wrong"
    fill_in "New password", with: "a longer one"
    click_button "Change the password"
    expect(page).to have_text("The password you have now is another one.")
    fill_in "Password now", with: "cargo-bicycle"
    click_button "Change the password"
    expect(page).to have_text("The password is changed")
    SignIn.create!(user: user, token: "x", used_at: 1.hour.ago, address: "203.0.113.7",
      agent: "Mozilla/5.0 (Windows NT 10.0) Firefox/140.0")
    page.refresh
    expect(page).to have_css(".signed-in li", count: 2)
    expect(page).to have_css(".signed-in li", text: "this browser")
    expect(faults).to eq([])
    click_button "Sign out there: Firefox, Windows"
    expect(page).to have_css(".signed-in li", count: 1)
    click_button "Sign out everywhere"
    expect(page).to have_button("Sign in")
  end

  it "sets a new password by the link of a forgotten one" do
    token = user.generate_token_for(:password_reset)
    visit "/"
    fill_in "Mail address", with: user.email
    click_button "Password forgotten"
    expect(page).to have_text("a link to set a new password is on its way")
    visit "/new-password/#{token}"
    expect(faults).to eq([])
    fill_in "New password", with: "a longer one"
    click_button "Set it"
    expect(page).to have_css(".today h1")
  end
end
