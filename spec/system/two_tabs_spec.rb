# One text in two tabs: who is where is seen, and what is written in one stands in the other.
RSpec.describe "Two tabs" do
  let(:user) { make_user }
  let(:project) { make_project(user, "Check the bolts.\n\nOil the chain.\n\nFit the rack.", name: "b.txt") }

  it "shows in each where the other is, and what is written there" do
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
    other = open_new_window
    within_window(other) do
      visit "/projects/#{project.id}/translate"
      expect(page).to have_css(".card .others-here", text: "also open here: you in another tab")
      press(:alt, :page_down)
      expect(page).to have_css(".pair .others-here")
      type("Oliare la catena.")
    end
    expect(page).to have_css(".pair:has(.others-here)", text: "Oliare la catena.")
    expect(page).to have_no_css(".card .others-here")
    other.close
    expect(page).to have_no_css(".others-here")
  end
end
