# What keeps out who does not belong: second factor, passwords, headers, cookies, and a log without text.
RSpec.describe "Security" do
  let(:user) { make_user }

  def sign_in_with(code = nil)
    post "/api/session", params: { email: user.email, password: "cargo-bicycle", code: code }, as: :json
    response.status == 200 ? "in" : body["error"]["code"]
  end

  def code(at: Time.current) = ROTP::TOTP.new(user.reload.factor_secret).at(at)

  describe "a second factor" do
    before { sign_in(user) }

    def begin_factor
      post "/api/second_factor", params: { password: "cargo-bicycle" }, as: :json
    end

    it "is begun with the password, confirmed by a code, and asked for from then on, each code once" do
      post "/api/second_factor", params: { password: "wrong" }, as: :json
      expect(body["error"]["code"]).to eq("password-wrong")
      begin_factor
      expect(body["picture"]).to start_with("<?xml").and include("<svg")
      expect(body["secret"]).to eq(user.reload.factor_secret)
      stored = User.connection.select_value("SELECT factor_secret FROM users WHERE id = #{user.id}")
      expect(stored).not_to include(user.factor_secret)
      patch "/api/second_factor", params: { code: "000000" }, as: :json
      expect(body["error"]["code"]).to eq("code-wrong")
      patch "/api/second_factor", params: { code: code }, as: :json
      expect(body["codes"].size).to eq(10)
      recovery = body["codes"].first
      delete "/api/session"
      expect(sign_in_with).to eq("code-needed")
      expect(sign_in_with("123456")).to eq("code-wrong")
      travel(60) do
        now = code
        expect(sign_in_with(now)).to eq("in")
        expect(sign_in_with(now)).to eq("code-wrong")
      end
      expect([sign_in_with(recovery.upcase), sign_in_with(recovery)]).to eq(%w[in code-wrong])
    end

    it "is ended with the password and a code, and nothing is confirmed that was not begun" do
      patch "/api/second_factor", params: { code: "1" }, as: :json
      expect(body["error"]["code"]).to eq("second-factor-open")
      begin_factor
      patch "/api/second_factor", params: { code: code }, as: :json
      get "/api/second_factor"
      expect(body).to eq("on" => true, "codes" => 10)
      delete "/api/second_factor", params: { password: "wrong" }, as: :json
      expect(body["error"]["code"]).to eq("password-wrong")
      begin_factor
      expect(body["error"]["code"]).to eq("second-factor-on")
      delete "/api/second_factor", params: { password: "cargo-bicycle" }, as: :json
      expect(body["error"]["code"]).to eq("code-needed")
      travel(60) do
        delete "/api/second_factor", params: { password: "cargo-bicycle", code: code }, as: :json
        expect(response).to have_http_status(:no_content)
      end
      delete "/api/session"
      expect(sign_in_with).to eq("in")
    end
  end

  it "takes no password that is easy to guess" do
    easy = %w[password1 qwertyuiop calloway1 12345678 iloveyou1 glossema1]
    codes = easy.map do |password|
      post "/api/users", params: { name: "Ines Calloway", email: "i@calloway.example", password: password },
        as: :json
      body.dig("error", "message")
    end
    expect(codes).to all(include("easy to guess"))
    expect(User.count).to eq(0)
    post "/api/users", params: { name: "I", email: "i@calloway.example", password: "tyres and glaze" },
      as: :json
    expect(response).to have_http_status(:created)
  end

  it "lets a page run scripts of its own files only, and no other page hold it" do
    get "/"
    policy = response.headers["content-security-policy"]
    expect(policy).to include("script-src 'self'", "default-src 'self'", "object-src 'none'",
      "frame-ancestors 'none'", "base-uri 'self'", "form-action 'self'")
    expect(policy[/script-src[^;]*/]).not_to match(/unsafe|\*|http/)
    expect(response.body).not_to match(/<script(?![^>]*src=)[^>]*>/)
    expect(response.headers).to include("x-content-type-options" => "nosniff",
      "x-frame-options" => "SAMEORIGIN", "referrer-policy" => "strict-origin-when-cross-origin")
    sign_in(user)
    cookie = Array(response.headers["set-cookie"]).join
    expect(cookie).to match(/httponly/i).and match(/samesite=lax/i)
  end

  it "writes neither text of clients nor keys into its log" do
    sign_in(user)
    segment = make_project(user, "<p>Secret source</p>", name: "Hidden name.html").segments.first
    log = StringIO.new
    Rails.logger.broadcast_to(logger = ActiveSupport::Logger.new(log))
    logger.level = :info
    patch "/api/segments/#{segment.id}", params: { target: "Secret target", confirm: true }, as: :json
    get "/api/projects/#{segment.project_id}/concordance?text=Secret+words&side=target"
    post "/api/projects/#{segment.project_id}/terms", params: { source: "Secret term", target: "x" },
      as: :json
    post "/api/remote_trials", params: { address: "nonsense", key: "Secret key" }, as: :json
    post "/api/session", params: { email: user.email, password: "Secret password" }, as: :json
    get "/api/invitations/Secret-of-an-invitation"
    expect(log.string).to include("concordance")
    expect(log.string).not_to match(/Secret|Hidden/)
  ensure
    Rails.logger.stop_broadcasting_to(logger)
  end

  it "tells errors by their kind and place, and not by a message with what was typed in it" do
    log = StringIO.new
    Rails.logger.broadcast_to(logger = ActiveSupport::Logger.new(log))
    logger.level = :info
    env = { "action_dispatch.show_detailed_exceptions" => false, "action_dispatch.show_exceptions" => :all }
    broken = ->(_) { raise ArgumentError, "Secret text" }
    app = ActionDispatch::DebugExceptions.new(broken)
    expect { app.call(Rack::MockRequest.env_for("/", env)) }.to raise_error(ArgumentError)
    job = Class.new(ApplicationJob) { def perform = raise(KeyError, "Secret word") }
    stub_const("BrokenJob", job)
    expect { BrokenJob.perform_now }.to raise_error(KeyError)
    line = Rails.configuration.lograge.formatter.call(
      { path: "/api/password_resets/Secret-token-of-a-link", error: "KeyError: Secret name",
        params: "Secret" }
    )
    expect(log.string + line).to include("ArgumentError", "KeyError").and match(/security_spec\.rb:\d+/)
    expect(log.string + line).not_to include("Secret")
  ensure
    Rails.logger.stop_broadcasting_to(logger)
  end
end
