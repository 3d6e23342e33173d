# Who may see what: signing in and out, limits, and nobody sees what is not theirs.
RSpec.describe "Accounts" do
  def sign_in(user, password = "cargo-bicycle")
    post("/api/session", params: { email: user.email.upcase, password: password }, as: :json)
  end

  it "makes an account, signs out and in again" do
    post "/api/users",
      params: {
        name: "Anneke Vos",
        email: " Anneke@Vos.example ",
        password: "long enough"
      },
      as: :json
    expect(response).to have_http_status(:created)
    expect(User.last.password_digest).to start_with("$2a$")
    get "/api/session"
    expect(response.parsed_body).to include("name" => "Anneke Vos", "email" => "anneke@vos.example")
    expect(response.body).not_to include("password")
    delete "/api/session"
    get "/api/session"
    expect(response).to have_http_status(:unauthorized)
    post "/api/session", params: { email: "anneke@vos.example", password: "long enough" }, as: :json
    expect(response).to have_http_status(:ok)
  end

  {
    "a short password" => {
      password: "short"
    },
    "no name" => {
      name: ""
    },
    "a wrong address" => {
      email: "nonsense"
    }
  }.each do |fault, fields|
    it "refuses an account with #{fault} in a sentence" do
      post "/api/users",
        params: { name: "A", email: "a@b.example", password: "long enough" }.merge(fields),
        as: :json
      expect(response).to have_http_status(422)
      expect(response.parsed_body.dig("error", "message")).to match(/\A[A-Z].+\.\z/)
      expect(User.count).to eq(0)
    end
  end

  it "gives a new session when signing in, in a cookie that scripts cannot read" do
    sign_in(make_user)
    cookie = Array(response.headers["set-cookie"]).join
    expect(cookie).to match(/httponly/i).and match(/samesite=lax/i)
  end

  it "stops after ten wrong tries, also with the right password then" do
    user = make_user
    10.times { sign_in(user, "wrong") }
    expect(response).to have_http_status(:unauthorized)
    sign_in(user)
    expect(response).to have_http_status(:too_many_requests)
  end

  it "refuses a request without the forgery token" do
    user = make_user
    sign_in(user)
    ActionController::Base.allow_forgery_protection = true
    post "/api/projects", as: :json
    expect(response).to have_http_status(422)
    expect(user.projects.count).to eq(0)
  ensure
    ActionController::Base.allow_forgery_protection = false
  end

  describe "somebody else’s things" do
    let(:owner) { make_user }
    let(:project) do
      make_project(owner, memories: [{ "memory_id" => make_memory(owner, [["a b", "c d"]]).id }])
    end
    let(:delivery) { Delivery.make(project, by: owner) }
    let(:paths) do
      segment, document, memory =
        project.segments.first.id,
        project.documents.first.id,
        owner.memories.first.id
      unit, change = owner.memories.first.units.first.id, owner.memories.first.acts.create!(kind: "edit").id
      {
        get: [
          "/api/projects/#{project.id}",
          "/api/projects/#{project.id}/segments",
          "/api/projects/#{project.id}/readiness",
          "/api/projects/#{project.id}/deliveries",
          "/api/documents/#{document}/page",
          "/api/segments/#{segment}/proposals",
          "/api/segments/#{segment}/versions",
          "/api/memories/#{memory}",
          "/api/memories/#{memory}/exchange",
          "/api/deliveries/#{delivery.id}",
          "/api/delivered_files/#{delivery.files.first.id}",
          "/api/projects/#{project.id}/rules",
          "/api/memories/#{memory}/units",
          "/api/memories/#{memory}/facets",
          "/api/memories/#{memory}/tidy",
          "/api/memories/#{memory}/changes",
          "/api/units/#{unit}",
          "/api/projects/#{project.id}/concordance"
        ],
        patch: [
          "/api/memories/#{memory}",
          "/api/units/#{unit}",
          "/api/changes/#{change}",
          "/api/projects/#{project.id}",
          "/api/documents/#{document}",
          "/api/segments/#{segment}",
          "/api/projects/#{project.id}/rules",
          "/api/documents/#{document}/version"
        ],
        post: [
          "/api/projects/#{project.id}/documents",
          "/api/projects/#{project.id}/beginning",
          "/api/projects/#{project.id}/deliveries",
          "/api/documents/#{document}/reading",
          "/api/memories/#{memory}/exchange",
          "/api/projects/#{project.id}/exceptions",
          "/api/memories/#{memory}/changes",
          "/api/segments/#{segment}/repeats",
          "/api/documents/#{document}/version",
          "/api/segments/#{segment}/cut"
        ],
        delete: [
          "/api/projects/#{project.id}",
          "/api/documents/#{document}",
          "/api/documents/#{document}/reading",
          "/api/memories/#{memory}",
          "/api/changes/#{change}",
          "/api/segments/#{segment}/repeats",
          "/api/projects/#{project.id}/rules",
          "/api/documents/#{document}/version",
          "/api/segments/#{segment}/cut"
        ]
      }
    end

    it "does not exist for others, and asks those not signed in to sign in" do
      all = paths
      all.each do |verb, list|
        list.each do |path|
          expect(public_send(verb, path, params: { target: "x", files: ["x"], file: "x" }, as: :json)).to eq(
            401
          ),
            path
        end
      end
      sign_in(make_user("Anneke Vos"))
      all.each do |verb, list|
        list.each do |path|
          expect(public_send(verb, path, params: { target: "x", files: ["x"], file: "x" }, as: :json)).to eq(
            404
          ),
            path
        end
      end
      expect(project.reload.segments.pluck(:target).uniq).to eq([""])
    end

    it "cannot be attached either" do
      sign_in(other = make_user("Anneke Vos"))
      mine = make_project(other)
      patch "/api/projects/#{mine.id}",
        params: {
          memories: [{ memory_id: make_memory(owner, []).id }]
        },
        as: :json
      expect(response).to have_http_status(:not_found)
      patch "/api/projects/#{mine.id}",
        params: {
          client_id: owner.clients.create!(name: "Tarnholt").id
        },
        as: :json
      expect(response).to have_http_status(:not_found)
      expect(mine.reload.client_id).to be_nil
    end
  end

  describe "her own account" do
    let(:user) { make_user }

    before { sign_in(user) }

    it "takes name, mail address, pace and pattern, and refuses what cannot be" do
      patch "/api/account", params: { name: "Ines C.", email: "ines@new.example", words_per_hour: 420 },
        as: :json
      expect(user.reload).to have_attributes(name: "Ines C.", email: "ines@new.example", words_per_hour: 420)
      patch "/api/account", params: { email: "nowhere" }, as: :json
      expect(message).to eq("Email is not a mail address.")
    end

    it "changes the password only with the one there is, and ends all other sessions" do
      patch "/api/account", params: { password: "a longer one", current_password: "wrong" }, as: :json
      expect(body["error"]["code"]).to eq("password-wrong")
      elsewhere = open_session
      elsewhere.post "/api/session", params: { email: user.email, password: "cargo-bicycle" }, as: :json
      patch "/api/account", params: { password: "a longer one", current_password: "cargo-bicycle" }, as: :json
      get "/api/session"
      expect(response).to have_http_status(200)
      elsewhere.get "/api/session"
      expect(elsewhere.response).to have_http_status(401)
    end

    it "signs out everywhere" do
      elsewhere = open_session
      elsewhere.post "/api/session", params: { email: user.email, password: "cargo-bicycle" }, as: :json
      delete "/api/account"
      elsewhere.get "/api/session"
      expect(elsewhere.response).to have_http_status(401)
    end

    it "sets a forgotten password by a link from the log, once" do
      delete "/api/session"
      log = StringIO.new
      Rails.logger.broadcast_to(ActiveSupport::Logger.new(log))
      post "/api/password_resets", params: { email: user.email }, as: :json
      post "/api/password_resets", params: { email: "nobody@nowhere.example" }, as: :json
      expect(response).to have_http_status(202)
      token = log.string[%r{/new-password/(\S+)}, 1]
      patch "/api/password_resets/#{token}", params: { password: "a longer one" }, as: :json
      expect(response).to have_http_status(200)
      expect(user.reload.authenticate("a longer one")).to be_truthy
      patch "/api/password_resets/#{token}", params: { password: "another one" }, as: :json
      expect(body["error"]["code"]).to eq("link-old")
    end
  end
end
