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
    # Whose number stands in an address, by the name of its parameter or, for "id", by its controller.
    let(:numbers) do
      segment, memory = project.segments.first, owner.memories.first
      change = memory.acts.create!(kind: "edit")
      away = PutAway.note(owner, "project", name: "Gone", record: project)
      act = ProjectAct.note(project, owner, "rules")
      {
        **numbers_of_counts, **numbers_of_terms, **numbers_of_reviews, **numbers_of_alignments,
        "notes" => Note.add(segment, "x", by: owner).id,
        "let_stands" => LetStand.create!(project: project, author: "x", code: "end-mark", digest: "x").id,
        "pretranslations" => ProjectAct.note(project, owner, "pretranslation").id,
        "machine_services" => owner.machine_services.create!(
          name: "x", address: "http://x.example", **Machine::TEMPLATES["lists"]
        ).id,
        "project_id" => project.id, "document_id" => project.documents.first.id, "segment_id" => segment.id,
        "shares" => Share.give(memory, email: "x@y.example", may: "read", by: owner).id,
        "memory_id" => memory.id, "projects" => project.id, "documents" => project.documents.first.id,
        "segments" => segment.id, "memories" => memory.id, "memory_units" => memory.units.first.id,
        "memory_changes" => change.id, "deliveries" => delivery.id, "put_aways" => away.id,
        "delivered_files" => delivery.files.first.id, "project_acts" => act.id
      }
    end
    let(:numbers_of_reviews) do
      round = project.review_rounds.create!(number: 1, reviser: "x", token: "x", way: "inside")
      remark = Note.remark(round, project.segments.first, { "error_type" => "style", "severity" => "minor" },
        by: owner)
      { "review_rounds" => round.id, "review_round_id" => round.id, "remarks" => remark.id,
        "passages" => project.segments.first.id }
    end
    let(:numbers_of_alignments) do
      made = owner.alignments.create!(name: "x", source_lang: "en", target_lang: "it")
      { "alignments" => made.id, "alignment_id" => made.id }
    end
    let(:numbers_of_counts) do
      client = owner.clients.create!(name: "Pell & Rook Ceramics")
      card = owner.rate_cards.create!(
        client: client,
        source_lang: "en",
        target_lang: "it",
        rates: { "currency" => "EUR", "rate" => "0.1" }
      )
      project.reference_files.attach(io: StringIO.new("x"), filename: "x.txt")
      report = project.reports.first || Report.start(project, memories: [], made: "hand")
      CountReportJob.perform_now(report)
      quote = Quote.keep(report.reload, rates: card.rates, shown: "2.80")
      {
        "clients" => client.id, "client_id" => client.id, "rate_cards" => card.id, "reports" => report.id,
        "quotes" => quote.id, "reference_files" => project.reference_files.first.id,
        "quick_counts" => owner.all_projects.create!(kind: "quick").id
      }
    end
    let(:numbers_of_terms) do
      termbase = owner.termbases.create!(name: "Terms")
      record = nil
      data = { "sections" => [{ "lang" => "en", "terms" => [{ "text" => "rim" }] }] }
      act = termbase.act("add") { |recorder| record = recorder.add(Glossema::Terms::Entry.from_data(data)) }
      {
        "termbases" => termbase.id, "termbase_id" => termbase.id, "term_entries" => record.id,
        "term_entry_id" => record.id,
        "termbase_acts" => act.id,
        "term_candidates" => termbase.candidates.create!(act: act, lang: "en", text: "rim", folded: "rim",
          count: 2, score: 1).id
      }
    end
    # Addresses with a number that names nothing of a person.
    let(:open_to_all) { ["password_resets#update", "invitations#show"] }

    # [verb, address] of every route of the API that leads to something of somebody's: a new route is here at
    # once, and fails until it can be told whose number it takes.
    let(:addresses) do
      routes = Rails.application.routes.routes.select { |route| route.path.spec.to_s.start_with?("/api/") }
      routes.filter_map do |route|
        controller = route.defaults[:controller].delete_prefix("api/")
        action = "#{controller}##{route.defaults[:action]}"
        next if route.required_parts.empty? || open_to_all.include?(action)

        given = route.required_parts.to_h do |part|
          [part, numbers.fetch(part == :id ? controller : part.to_s)]
        end
        [route.verb.downcase.to_sym, route.format(given)]
      end
    end

    def answers
      params = { target: "x", files: ["x"], file: "x", text: "x", at: 1, kind: "delete", groups: [] }
      addresses.to_h do |verb, path|
        [[verb, path], public_send(verb, path, params: params, as: :json)]
      end
    end

    it "does not exist for others, and asks those not signed in to sign in" do
      numbers
      expect(addresses.size).to be > 50
      expect(answers.reject { |_, status| status == 401 }).to eq({})
      sign_in(make_user("Anneke Vos"))
      expect(answers.reject { |_, status| status == 404 }).to eq({})
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
