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

  it "stops for an account whatever address the tries come from, and for an address whatever the account" do
    user = make_user
    tried = lambda do |email, from|
      post "/api/session", params: { email: email, password: "wrong" }, env: { "REMOTE_ADDR" => from },
        as: :json
      response.status
    end
    expect(Array.new(11) { |i| tried[user.email, "198.51.100.#{i}"] }.last(2)).to eq([401, 429])
    expect(Array.new(11) { |i| tried["nobody#{i}@x.example", "203.0.113.9"] }.last(2)).to eq([401, 429])
  end

  it "believes what a request says of its address only from a proxy that is set up" do
    told = lambda do |proxies, headers|
      env = { "REMOTE_ADDR" => "10.0.0.2", **headers }
      ClientAddress.new(->(given) {
        [given["HTTP_X_FORWARDED_FOR"], given["HTTP_CLIENT_IP"]]
      }, proxies).call(env)
    end
    said = { "HTTP_X_FORWARDED_FOR" => "198.51.100.7", "HTTP_CLIENT_IP" => "198.51.100.8" }
    expect(told[[], said]).to eq([nil, nil])
    expect(told[["10.0.0.9"], said]).to eq([nil, nil])
    expect(told[["10.0.0.0/8"], said]).to eq(["198.51.100.7", nil])
  end

  describe "making accounts" do
    def sign_up(email, **given)
      post "/api/users", params: { name: "A", email: email, password: "long enough", **given }, as: :json
      body.dig("error", "code") || response.status
    end

    after { Rails.configuration.x.sign_up = "open" }

    it "goes by invitation, for the address that was invited, or not at all; the first one is always made" do
      Rails.configuration.x.sign_up = "closed"
      expect(sign_up("first@x.example")).to eq(201)
      owner = User.last
      memory = owner.memories.create!(name: "M", source_lang: "en", target_lang: "it")
      token = Share.give(memory, email: "b@x.example", may: "view", by: owner).token
      expect(sign_up("b@x.example", invitation: token)).to eq("sign-up")
      Rails.configuration.x.sign_up = "invitation"
      expect(sign_up("b@x.example")).to eq("sign-up")
      expect(sign_up("c@x.example", invitation: token)).to eq("sign-up")
      expect(sign_up("b@x.example", invitation: token)).to eq(201)
      expect(User.last.shares.count).to eq(1)
      get "/"
      expect(response.body).to include('name="sign-up" content="closed"')
    end

    it "stops at so many in a day" do
      most = Rails.configuration.x.accounts_a_day
      Rails.configuration.x.accounts_a_day = 1
      expect([sign_up("a@x.example"), sign_up("b@x.example")]).to eq([201, "limit"])
      expect(response).to have_http_status(:too_many_requests)
    ensure
      Rails.configuration.x.accounts_a_day = most
    end
  end

  it "takes so many requests and files of somebody in an hour" do
    user = make_user
    sign_in(user)
    usual = Rails.configuration.x.an_hour
    Rails.configuration.x.an_hour = { "requests" => 4, "uploads" => 1 }
    project = user.projects.create!(source_lang: "en", target_lang: "it")
    files = Array.new(2) { |i| upload("Text.", "#{i}.txt") }
    post "/api/projects/#{project.id}/documents", params: { files: files }
    expect([response.status, body["error"]["code"]]).to eq([429, "limit"])
    4.times { get "/api/today" }
    expect(response).to have_http_status(:too_many_requests)
    expect(message).to include("4 requests")
  ensure
    Rails.configuration.x.an_hour = usual
  end

  it "shows and makes backups for the owner of the installation alone" do
    owner, other = make_user, make_user("Anneke Vos")
    [[owner, 200], [other, 403]].each do |user, status|
      sign_in(user)
      get "/api/backup"
      expect(response).to have_http_status(status)
      get "/api/session"
      expect(body["owner"]).to be(status == 200)
    end
    post "/api/backup"
    expect(body["error"]["code"]).to eq("not-owner")
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
      expect(message).to eq("Email is not an email address.")
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

    it "links to the address that is set up, whatever a request says its host is" do
      Rails.configuration.x.own_url = "https://words.example"
      perform_enqueued_jobs do
        post "/api/password_resets", params: { email: user.email }, as: :json,
          headers: { "Host" => "evil.example", "X-Forwarded-Host" => "evil.example" }
      end
      text = ActionMailer::Base.deliveries.last.body.to_s
      expect(text).to include("https://words.example/new-password/")
      expect(text).not_to include("evil")
    ensure
      Rails.configuration.x.own_url = "http://localhost:3000"
      ActionMailer::Base.deliveries.clear
    end

    it "sets no forgotten password past a second factor" do
      user.begin_second_factor
      codes = user.confirm_second_factor(ROTP::TOTP.new(user.factor_secret).now)
      delete "/api/session"
      reset = lambda do |**given|
        path = "/api/password_resets/#{user.generate_token_for(:password_reset)}"
        patch path, params: { password: "a longer one", **given }, as: :json
        [response.status, body.dig("error", "code")]
      end
      expect(reset.call).to eq([401, "code-needed"])
      expect(reset.call(code: "000000")).to eq([401, "code-wrong"])
      expect(user.reload.authenticate("cargo-bicycle")).to be_truthy
      expect(reset.call(code: codes.first)).to eq([200, nil])
      expect(user.reload.authenticate("a longer one")).to be_truthy
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
