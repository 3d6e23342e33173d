# Clients set up once, templates, counts that never change, and quotes made of them.
RSpec.describe "Clients, counts and quotes" do
  include ActiveJob::TestHelper

  let(:user) { make_user }
  let(:memory) { make_memory(user, [["Ask your dealer.", "Chiedere al rivenditore."]]) }
  let(:rates) { { currency: "EUR", unit: "word", rate: "0.12", weights: { exact: "0.1" }, minimum: "1" } }

  before { sign_in(user) }

  def client(**fields)
    post "/api/clients", params: { name: "Tarnholt Cargo Cycles" }, as: :json
    patch "/api/clients/#{body["id"]}", params: fields, as: :json
    body
  end

  def count(project, **params)
    perform_enqueued_jobs { post "/api/projects/#{project.id}/reports", params: params, as: :json }
    get "/api/reports/#{body["id"]}"
    body
  end

  def total_of(report)
    known = Glossema::Counting::Rates.new(JSON.parse(rates.to_json))
    Glossema::Counting::Quote.new(report["figures"]["bands"], known).to_h["total"]
  end

  def keep_quote(report, total, **more)
    post "/api/quotes", params: { report_id: report["id"], rates: rates, total: total, **more }, as: :json
    body
  end

  describe "a client" do
    let(:termbase) { user.termbases.create!(name: "Tarnholt") }
    let(:made) do
      client(
        subjects: ["Bicycles", " ", "Bicycles"],
        people: [{ name: "Femke", role: "orders", email: "femke@tarnholt.example" }],
        memories: [{ memory_id: memory.id, learns: "deliver", penalty: 2 }],
        termbases: [{ termbase_id: termbase.id, adds: true, checks: false, read_only: false }],
        never_used: ["cheap"],
        never_translated: ["Longtail"],
        file_pattern: "{reference} {name} {target}",
        reference_pattern: "T{yy}/{nnn}"
      )
    end

    it "is set up once, and is what a brief proposes" do
      expect(made).to include("subjects" => ["Bicycles"], "code" => "TAR")
      expect(made["memories"].first).to include("name" => memory.name, "units" => 1, "penalty" => 2)
      project = user.projects.create!(source_lang: "en-GB", target_lang: "it-IT")
      patch "/api/projects/#{project.id}", params: { client_id: made["id"] }, as: :json
      expect(body).to include(
        "subject" => "Bicycles",
        "never_used" => ["cheap"],
        "never_translated" => ["Longtail"],
        "file_pattern" => "{reference} {name} {target}",
        "reference" => "T#{Time.current.strftime("%y")}/001"
      )
      expect(body["memories"].map { |row| row.values_at("memory_id", "learns", "penalty") }).to eq(
        [[memory.id, "deliver", 2]]
      )
      expect(body["termbases"]).to eq([made["termbases"].first.merge("name" => "Tarnholt", "entries" => 0)])
      someone = User.create!(name: "Anneke Vos", email: "anneke@vos.example", password: "cargo-bicycle")
      other = someone.termbases.create!(name: "Hers")
      patch "/api/clients/#{made["id"]}", params: { termbases: [{ termbase_id: other.id }] }, as: :json
      expect(body["error"]["message"]).to include("One of the termbases no longer exists")
      get "/api/clients/#{made["id"]}"
      expect(body["termbases"].pluck("termbase_id", "adds", "checks")).to eq([[termbase.id, true, false]])
    end

    it "keeps what was changed in a project with one press, and names delivered files so" do
      project = make_project(user, memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
      project.update!(subject: "Kilns", file_pattern: "{target}-{name}", client_id: made["id"])
      patch "/api/clients/#{made["id"]}", params: { keep_from: project.id }, as: :json
      expect(body).to include("subjects" => %w[Bicycles Kilns], "file_pattern" => "{target}-{name}")
      expect(body["memories"].map { |row| row.values_at("memory_id", "penalty") }).to eq([[memory.id, 0]])
      expect(deliver(project, by: user).files.map(&:name)).to eq(["it-IT-manual.docx"])
    end

    it "has a logo that is a picture, and can be brought back when it was put away" do
      put "/api/clients/#{made["id"]}/logo", params: { files: [upload("no picture", "logo.png")] }
      expect(body["error"]["code"]).to eq("logo-wrong")
      picture = Rails.root.join("docs/screenshots/today.png").binread
      put "/api/clients/#{made["id"]}/logo", params: { files: [upload(picture, "logo.png")] }
      expect(body["has_logo"]).to be(true)
      get "/api/clients/#{made["id"]}/logo"
      expect(response.body).to eq(picture)
      delete "/api/clients/#{made["id"]}"
      get "/api/clients"
      expect(body).to eq([])
      patch "/api/trash_items/client-#{TrashItem.last.id}"
      get "/api/clients"
      expect(body.map { |row| row["id"] }).to eq([made["id"]])
    end

    it "has rates of its own for a pair, before hers for anybody" do
      { nil => "0.10", made["id"] => "0.14" }.each do |id, rate|
        pair = { source_lang: "en", target_lang: "it" }
        post "/api/rate_cards", params: { client_id: id, rates: { currency: "EUR", rate: rate }, **pair },
          as: :json
        expect(response).to have_http_status(:created)
      end
      own = Client.find(made["id"])
      expect(RateCard.for(user, own, "en-GB", "it-IT").rates["rate"]).to eq("0.14")
      expect(RateCard.for(user, nil, "en-GB", "it-IT").rates["rate"]).to eq("0.10")
      expect(RateCard.for(user, own, "en-GB", "nl-NL")).to be_nil
    end

    it "has rules of its own for cutting sentences, which new projects get" do
      xml = Glossema::Segmentation::Srx.default.excepting("en", "Longtail approx.").xml
      patch "/api/clients/#{made["id"]}/rules", params: { file: upload(xml, "r.srx") }
      expect(body["from"]).to eq("client")
      project = user.projects.create!(source_lang: "en-GB", target_lang: "it-IT")
      patch "/api/projects/#{project.id}", params: { client_id: made["id"] }, as: :json
      get "/api/projects/#{project.id}/rules"
      expect(body["from"]).to eq("project")
      delete "/api/clients/#{made["id"]}/rules"
      expect(body["from"]).to eq("default")
      patch "/api/trash_items/rules-#{TrashItem.where(kind: "rules").last.id}"
      expect(Client.find(made["id"]).rules).to eq(xml.dup.force_encoding("UTF-8"))
    end

    {
      "pattern-wrong" => [{ reference_pattern: "{client}" }, { file_pattern: "{target}" },
                          { file_pattern: "{name}/x" }, { file_pattern: "../{name}" },
                          { file_pattern: "/{name}" }, { file_pattern: "{word}/{name}" }],
      "not-valid" => [{ valid_days: 0 }, { name: " " }, { memories: [{ memory_id: 0, learns: "never" }] }]
    }.each do |code, wrong|
      wrong.each do |fields|
        it "refuses #{fields} and keeps everything else" do
          before = made
          patch "/api/clients/#{made["id"]}", params: { notes: "New.", **fields }, as: :json
          expect(body["error"]).to include("code" => code)
          get "/api/clients/#{made["id"]}"
          expect(body).to eq(before)
        end
      end
    end
  end

  it "saves a project as a template, and begins the next one from it" do
    project = make_project(user, memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
    project.update!(subject: "Bicycles", description: "As always.", never_used: ["cheap"])
    post "/api/projects/#{project.id}/templates", params: { name: "Tarnholt leaflets" }, as: :json
    template = body["id"]
    get "/api/templates"
    expect(body.map { |row| row["name"] }).to eq(["Tarnholt leaflets"])
    patch "/api/projects/#{template}", params: { subject: "Leaflets" }, as: :json
    post "/api/projects", params: { template_id: template }, as: :json
    expect(body).to include("subject" => "Leaflets", "description" => "As always.", "target_lang" => "it-IT")
    expect(body["memories"].map { |row| row["memory_id"] }).to eq([memory.id])
    expect(body["proposed"]["as_template"]).to eq("Tarnholt leaflets")
    get "/api/today"
    expect(body["briefs"]).to eq([])
    brief = user.projects.find_by!(subject: "Leaflets", kind: "project")
    perform_enqueued_jobs do
      post "/api/projects/#{brief.id}/documents",
        params: { files: [upload("Stop. Ask your dealer.", "b.txt")] }
      post "/api/projects/#{brief.id}/beginning"
    end
    expect(brief.reload).to be_begun.and have_attributes(subject: "Leaflets")
  end

  describe "a count" do
    let(:project) { make_project(user, memories: [{ "memory_id" => memory.id, "learns" => "deliver" }]) }

    it "is made when files change and by hand, with and without memories, and never changes" do
      with = count(project)
      expect(with).to include("state" => "ready", "made" => "hand", "outdated" => false)
      expect(with["figures"]["bands"]["exact"]["words"]).to eq(3)
      without = count(project, memory_ids: [])
      expect(without["memories"]).to eq([])
      get "/api/reports/#{with["id"]}", params: { beside: without["id"] }
      differences = body["beside"]["comparison"]["differences"]
      expect(differences.reject { |_, words| words.zero? }).to eq("exact" => 3, "new" => -3)

      perform_enqueued_jobs do
        post "/api/projects/#{project.id}/documents", params: { files: [upload("Stop now.", "b.txt")] }
      end
      get "/api/reports", params: { project_id: project.id }
      expect(body.map { |row| row.values_at("made", "words") }.first).to eq(["files", 30])
      get "/api/reports/#{with["id"]}"
      expect(body.except("outdated", "beside")).to eq(with.except("outdated", "beside"))
      expect(body["outdated"]).to be(true)
      expect(Report.find(with["id"]).update(figures: {})).to be(false)
    end

    it "counts by several processes as by one, with memories and without" do
      segments = project.segments.order(:position).to_a
      [[[memory.id, 0]], []].each do |stores|
        matching = Report::Matching.new(project, stores)
        rows = matching.rows(segments)
        bands = Glossema::Counting::Bands.assign(rows)
        inside = Glossema::Counting::Likeness.bands(rows.map(&:first), bands, project.counted_languages)
        alone = rows.each_index.map { |index|
          [index, *(rows[index][1]&.to_a || [nil, nil]), inside[index]]
        }
        expect(alone.filter_map(&:second).any?).to be(stores.any?)
        shared = Array.new(2) { |turn| matching.share(segments, turn, 2) }
        expect(shared.sum([]).sort_by(&:first)).to eq(alone)
      end
    end

    it "becomes a quote whose sums the core checks, and which stays as it is" do
      report = count(project)
      total = total_of(report)
      keep_quote(report, "0.01")
      expect(body["error"]["code"]).to eq("sums-differ")
      first = keep_quote(report, total, valid_until: "2027-01-15")
      expect(first).to include("state" => "open", "valid_until" => "2027-01-15")
      expect(first["number"]).to eq("#{Time.current.year}-001")
      expect(first["figures"]).to include("total" => total, "bare_total" => "3.36")
      expect(keep_quote(report, total)["number"]).to end_with("-002")
      get "/api/quotes/#{first["id"]}"
      expect(body).to include("file_prices" => [total], "letter" => include("from" => user.name))
      patch "/api/quotes/#{first["id"]}", params: { state: "accepted" }, as: :json
      get "/api/today"
      expect(body["projects"].first["worth"]).to eq([{ "amount" => total, "currency" => "EUR" }])
      patch "/api/quotes/#{first["id"]}", params: { state: "paid" }, as: :json
      expect(body["error"]["code"]).to eq("not-valid")
    end

    it "becomes a quote in the language of the client, until another is chosen for the letter" do
      client(language: "xx")
      expect(body["error"]["code"]).to eq("not-valid")
      project.update!(client: user.clients.sole)
      patch "/api/clients/#{user.clients.sole.id}", params: { language: "it" }, as: :json
      report = count(project)
      quote = keep_quote(report, total_of(report))
      get "/api/quotes/#{quote["id"]}?as=csv"
      expect(response.body.lines.first).to start_with("fascia,parole")
      expect(response.headers["content-disposition"]).to include("Preventivo")
      get "/api/quotes/#{quote["id"]}"
      expect(body["letter"]).to include("language" => "it")
      patch "/api/quotes/#{quote["id"]}", params: { language: "en" }, as: :json
      get "/api/quotes/#{quote["id"]}?as=csv"
      expect(response.body.lines.first).to start_with("band,words")
      { "de" => "band,wörter", "fr" => "tranche,mots", "es" => "tramo,palabras",
        "nl" => "band,woorden" }.each do |language, heading|
        patch "/api/quotes/#{quote["id"]}", params: { language: language }, as: :json
        get "/api/quotes/#{quote["id"]}?as=csv"
        expect(response.body.dup.force_encoding("UTF-8").lines.first).to start_with(heading)
      end
      patch "/api/settings", params: { preferences: { language: "de" } }, as: :json
      expect(response).to have_http_status(:unprocessable_content)
      patch "/api/quotes/#{quote["id"]}", params: { language: "xx" }, as: :json
      expect(body["error"]["code"]).to eq("not-valid")
    end

    it "refuses rates that are none, and a count that is not made" do
      report = count(project)
      { "rate-wrong" => { rate: "cheap" }, "weight-wrong" => { weights: { new: "1.5" } },
        "currency-unknown" => { currency: "XQQ" } }.each do |code, wrong|
        params = { report_id: report["id"], rates: rates.merge(wrong), total: "1" }
        post "/api/quotes", params: params, as: :json
        expect(body["error"]["code"]).to eq(code)
      end
      unready = Report.start(project, memories: [], made: "hand")
      keep_quote({ "id" => unready.id }, "1")
      expect(body["error"]["code"]).to eq("report-unready")
      get "/api/reports/#{report["id"]}", params: { as: "pdf" }
      expect(body["error"]["code"]).to eq("takeout-unknown")
      expect(user.quotes.count).to eq(0)
    end

    it "refuses a due time that has passed" do
      patch "/api/projects/#{project.id}", params: { due_at: 1.hour.ago.iso8601 }, as: :json
      expect(body["error"]["code"]).to eq("due-past")
      patch "/api/projects/#{project.id}", params: { due_at: 1.hour.from_now.iso8601 }, as: :json
      expect(response).to have_http_status(:ok)
    end
  end

  it "counts files quickly, keeps nothing unless told to, and makes a project of it" do
    post "/api/quick_counts"
    quick = Project.find(body["id"])
    post "/api/projects/#{quick.id}/reports", as: :json
    expect(body["error"]["code"]).to eq("nothing-to-count")
    perform_enqueued_jobs do
      files = [upload("Stop. Ask your dealer.", "a.txt"), upload("PK\x03\x04", "b.docx")]
      post "/api/projects/#{quick.id}/documents", params: { files: files }
    end
    get "/api/projects/#{quick.id}"
    expect(body["documents"].map { |row| row["state"] }).to eq(%w[ready refused])
    report = count(quick, memory_ids: [memory.id])
    expect(report["figures"]["words"]).to eq(4)
    get "/api/reports"
    expect(body).to eq([])
    patch "/api/reports/#{report["id"]}", params: { name: "For Femke" }, as: :json
    get "/api/reports"
    expect(body.map { |row| row["name"] }).to eq(["For Femke"])
    patch "/api/quick_counts/#{quick.id}"
    get "/api/today"
    expect(body["briefs"].map { |row| row["id"] }).to eq([quick.id])
  end

  it "throws away after a day what was counted quickly and not kept" do
    gone, kept = Array.new(2) { user.all_projects.create!(kind: "quick", created_at: 2.days.ago) }
    fields = { user: user, name: "x", made: "quick", source_lang: "en", mark: "x" }
    gone.reports.create!(**fields, kept: false)
    kept.reports.create!(**fields, kept: true)
    Operations::Purge.perform_now(nil, by: nil)
    expect(Project.where(kind: "quick")).to eq([kept])
    expect(Report.pluck(:project_id)).to eq([kept.id])
  end

  it "keeps files that are looked at beside the text, and shows them" do
    project = make_project(user)
    files = [upload("%PDF-1.4 x", "style.pdf"), upload("Read <this> first.", "brief.txt")]
    post "/api/projects/#{project.id}/reference_files", params: { files: files }
    expect(body.map { |row|
      row.values_at("name", "kind")
    }).to eq([%w[style.pdf application], %w[brief.txt page]])
    policies = body.reverse.map do |row|
      get "/api/reference_files/#{row["id"]}"
      response.headers["Content-Security-Policy"]
    end
    expect(policies).to all(include("frame-ancestors 'self'"))
    expect(policies.first).to include("default-src 'none'")
    get "/api/reference_files/#{project.reload.reference_files.last.id}"
    expect(response.body).to include("Read &lt;this&gt; first.")
    delete "/api/reference_files/#{project.reload.reference_files.first.id}"
    expect(project.reload.reference_files.map { |file| file.filename.to_s }).to eq(["brief.txt"])
  end

  it "measures her pace, and refuses working hours that are none" do
    get "/api/pace"
    expect(body).to eq("words_per_hour" => 350, "bands" => {})
    working = { days: [1, 3], from: "08:00", to: "12:00" }
    patch "/api/settings", params: { working: working, time_zone: "Europe/Rome", remind_at: "08:30" },
      as: :json
    expect(body).to include("working" => working.stringify_keys, "time_zone" => "Europe/Rome")
    patch "/api/settings", params: { working: { **working, to: "07:00" } }, as: :json
    expect(body["error"]["code"]).to eq("hours-wrong")
    patch "/api/settings", params: { reference_pattern: "X" }, as: :json
    expect(body["error"]["code"]).to eq("pattern-wrong")
    patch "/api/settings", params: { remind_at: "noon" }, as: :json
    expect(body["error"]["code"]).to eq("not-valid")
  end
end
