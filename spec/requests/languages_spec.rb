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
    expect(told.call).to eq(["12 in the source is 13 in the target."])
    in_italian
    expect(told.call).to eq(["12 nel testo di partenza è 13 nella traduzione."])
  end

  it "tells what a proof found in a language chosen later, and as earlier versions stored it" do
    sign_in(user)
    project = make_project(user, manual_docx([["p", ["<w:b/>", "Warning:"], " hot"]]))
    project.segments.first.update!(target: "Avvertenza", state: "translated")
    deliver(project, by: user)
    messages = lambda do
      get "/api/projects/#{project.id}/deliveries"
      body.first["files"].first["proof"]["differences"].pluck("message")
    end
    expect(messages.call).to eq(["Codes missing in “Warning: hot”: {1} {/1}."])
    in_italian
    expect(messages.call).to eq(["Codici mancanti in “Warning: hot”: {1} {/1}."])
    file = DeliveredFile.last
    stored = [{ "unit" => nil, "what" => "codes", "message" => "Codes of “Warning: hot”." }]
    file.update!(proof: file.proof.merge("differences" => stored))
    expect(messages.call).to eq(["Codes of “Warning: hot”."])
  end

  describe "in files that leave" do
    # What the catalogue of tables says in one language and nowhere in the other.
    def words(language, other)
      flat = ->(texts) { texts.is_a?(Hash) ? texts.values.flat_map(&flat) : [texts.downcase] }
      [language, other].map { |one| flat[I18n.t("tables", locale: one)] }.reduce(:-)
    end

    # All cells, and the names of the sheets.
    def cells(bytes)
      return CSV.parse(bytes).flatten unless bytes.start_with?("PK")

      parts = %w[xl/sharedStrings.xml xl/workbook.xml].map { |part|
        Nokogiri::XML(Zip::File.open_buffer(StringIO.new(bytes)).read(part))
      }
      parts.first.css("si").map(&:text) + parts.last.css("sheet").pluck("name")
    end

    let(:addresses) do
      there = Everything.new(user).numbers
      project, report = there.values_at("project_id", "reports")
      ["reports/#{report}?as=xlsx", "reports/#{report}?as=csv", "projects/#{project}/check_report",
       "projects/#{project}/delivery_differences?as=file",
       "review_rounds/#{there["review_rounds"]}?as=report", "machine_ledger"]
    end

    it "heads their columns in it" do
      sign_in(user)
      { "en" => %i[en it], "it" => %i[it en] }.each do |language, (own, other)|
        patch "/api/settings", params: { preferences: { language: language } }, as: :json
        addresses.each do |address|
          get "/api/#{address}"
          found = cells(response.body.b).map { |cell| cell.to_s.dup.force_encoding("UTF-8").downcase }
          expect(found & words(other, own)).to eq([]), address
          expect(found & words(own, other)).not_to be_empty, address
        end
      end
    end

    it "asks a client in the client’s language, not in hers" do
      sign_in(user)
      in_italian
      project = make_project(user, "It weighs 12 kg.", name: "b.txt")
      Note.add(project.segments.first, "With load?", by: user, kind: "question")
      get "/api/projects/#{project.id}/question_sheet?as=xlsx"
      expect(cells(response.body)).to include("Translation so far", "With load?")
    end
  end
end
