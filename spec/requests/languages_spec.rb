# What the server says in the language of whoever reads it: refusals, faults of a form, findings.
RSpec.describe "Languages of the interface" do
  let(:user) { make_user }

  def in_italian = patch("/api/settings", params: { preferences: { language: "it" } }, as: :json)

  it "refuses in the language chosen, else in the browser’s, else in English" do
    wrong = { email: user.email, password: "nonsense" }
    post "/api/session", params: wrong, headers: { "Accept-Language" => "it-IT,it;q=0.9" }, as: :json
    expect(body["error"]["message"]).to eq(I18n.t("refusals.sign-in-wrong", locale: :it))
    post "/api/session", params: wrong, headers: { "Accept-Language" => "cy" }, as: :json
    expect(body["error"]["message"]).to eq(I18n.t("refusals.sign-in-wrong", locale: :en))
    sign_in(user)
    in_italian
    expect(response).to have_http_status(:ok)
    get "/", headers: { "Accept-Language" => "en" }
    expect(response.body).to include('<html lang="it">')
    patch "/api/account", params: { email: "nonsense" }, as: :json
    expect(body["error"]["message"]).to eq("L’indirizzo e-mail non è un indirizzo e-mail.")
    patch "/api/settings", params: { preferences: { language: "xx" } }, as: :json
    expect(response).to have_http_status(422)
  end

  it "gives a new account the language that its browser asked for" do
    given = { name: "Lidia", email: "lidia@okonjo.example", password: "quattro salti in padella" }
    post "/api/users", params: given, headers: { "Accept-Language" => "it" }, as: :json
    expect(User.last.language).to eq("it")
  end

  it "tells the findings anew in a language chosen later" do
    sign_in(user)
    project = make_project(user, "It weighs 12 kg.", name: "b.txt")
    project.segments.first.confirm("Pesa 13 kg.", origin: { "kind" => "typed" }, by: user)
    told = lambda do
      get "/api/projects/#{project.id}/findings"
      body["findings"].pluck("message")
    end
    expect(told.call).to eq(["12 became 13."])
    in_italian
    expect(told.call).to eq(["12 è diventato 13."])
  end
end
