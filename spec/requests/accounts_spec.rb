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
    user = make_user
    ActionController::Base.allow_forgery_protection = true
    get "/"
    before = response.body[/name="csrf-token" content="([^"]+)"/, 1]
    post "/api/session", params: { email: user.email, password: "cargo-bicycle" },
      headers: { "X-CSRF-Token" => before }, as: :json
    expect(response).to have_http_status(:ok)
    cookie = Array(response.headers["set-cookie"]).join
    expect(cookie).to match(/httponly/i).and match(/samesite=lax/i)
    # What was known of the session before is of no use in the new one.
    post "/api/projects", headers: { "X-CSRF-Token" => before }, as: :json
    expect(body["error"]).to include("code" => "forged")
    get "/"
    post "/api/projects", headers: { "X-CSRF-Token" => response.body[/csrf-token" content="([^"]+)"/, 1] },
      as: :json
    expect(response).to have_http_status(:created)
  ensure
    ActionController::Base.allow_forgery_protection = false
  end

  it "ends a session for good: an old cookie that comes again brings nobody back" do
    user = make_user
    sign_in(user)
    old = cookies["_glossema"]
    get "/api/session"
    expect(body["email"]).to eq(user.email)
    delete "/api/session"
    cookies["_glossema"] = old
    get "/api/session"
    expect(response).to have_http_status(:unauthorized)
    sign_in(user)
    get "/api/session"
    expect(response).to have_http_status(:ok)
  end

  # An answer on its way while the user signs in again would otherwise sign that user out.
  it "leaves the session cookie alone in every answer that begins, ends or renews no session" do
    user = make_user
    project = make_project(user)
    ActionController::Base.allow_forgery_protection = true
    late = lambda do
      patch "/api/segments/#{project.segments.first.id}", params: { target: "Tardi" },
        headers: { "X-User" => user.id }, as: :json
      [response.status, response.headers["set-cookie"]]
    end
    expect(late.call).to eq([401, nil])
    ["/api/projects", "/favicon.ico", "/up"].each do |path|
      get path
      expect(response.headers["set-cookie"]).to be_nil
    end
    ActionController::Base.allow_forgery_protection = false
    sign_in(user)
    expect(late.call).to eq([200, nil])
    get "/api/session"
    expect(response.headers["set-cookie"].to_s).to include("_glossema=")
  ensure
    ActionController::Base.allow_forgery_protection = false
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

    it "tells where she is signed in, and ends one session from another" do
      elsewhere = open_session
      elsewhere.post "/api/session", params: { email: user.email, password: "cargo-bicycle" }, as: :json,
        headers: { "User-Agent" => "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0" }
      get "/api/sign_ins"
      expect(body.map { |one| one.values_at("device", "current") })
        .to contain_exactly(["Firefox, Linux", false], [anything, true])
      delete "/api/sign_ins/#{body.find { |one| !one["current"] }["id"]}"
      elsewhere.get "/api/session"
      expect(elsewhere.response).to have_http_status(401)
      get "/api/session"
      expect(response).to have_http_status(200)
      travel(15.days) { get "/api/session" }
      expect(response).to have_http_status(401)
    end

    it "mails the link for a forgotten password where mail is set up" do
      perform_enqueued_jobs do
        post "/api/password_resets", params: { email: user.email.upcase }, as: :json
        post "/api/password_resets", params: { email: "nobody@nowhere.example" }, as: :json
      end
      expect(ActionMailer::Base.deliveries.map(&:to)).to eq([[user.email]])
      text = ActionMailer::Base.deliveries.last.body.to_s
      expect(text).to match(%r{/new-password/\S+}).and include(user.name)
    ensure
      ActionMailer::Base.deliveries.clear
    end

    it "sets a forgotten password by a link from the log, once" do
      allow(AccountMailer).to receive(:sends?).and_return(false)
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
