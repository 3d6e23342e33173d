# Cutting a text otherwise while it is being translated: rules, splitting and joining by hand, newer versions
# of a file, options.
RSpec.describe "Cutting" do
  let(:user) { make_user }
  let(:text) { "Load approx. Half the box. Then go.\nCheck the red brake lever twice.\nStay calm.\n" }
  let(:project) { make_project(user, text, name: "leaflet.txt") }
  let(:document) { project.documents.first }

  before { sign_in(user) }

  def rows = document.reload.segments.reload.map { |segment| [segment.source, segment.target, segment.state] }

  def translate(targets)
    document.segments.each do |segment|
      targets[segment.source]&.then do |target|
        segment.confirm(target, origin: { "kind" => "typed" }, by: user)
      end
    end
  end

  it "refuses to split at an edge, and changes nothing" do
    segment = document.segments.find_by(source: "Check the red brake lever twice.")
    [0, segment.source.length, -3, 999].each do |at|
      post "/api/segments/#{segment.id}/cut", params: { at: at }, as: :json
      expect(body["error"]).to include("code" => "split-edge",
        "message" => "The segment was not split. One part would be empty.")
    end
    expect(document.segments.reload.map(&:source)).to include("Check the red brake lever twice.")
  end

  it "joins and splits by hand, keeps what was translated, and delivers the right text" do
    document.update!(hand: {}) &&
      Rules.new(project).keep(
        Glossema::Segmentation::Srx.from_h(
          [
            {
              "name" => "All",
              "pattern" => ".*",
              "rules" => [{ "break" => true, "before" => "\\.", "after" => "\\s" }]
            }
          ]
        )
      )
    document.recut(by: user)
    translate(
      "Load approx." => "Carica ca.",
      "Half the box." => "metà cassa.",
      "Then go." => "Poi via.",
      "Stay calm." => "Calma."
    )
    first = document.segments.first
    delete "/api/segments/#{first.id}/cut"
    expect(body["after"]).to eq("approx.")
    expect(rows.first(2)).to eq(
      [
        ["Load approx. Half the box.", "Carica ca. metà cassa.", "draft"],
        ["Then go.", "Poi via.", "translated"]
      ]
    )
    expect(Segment.find(body["open"]).versions.last.origin).to eq("kind" => "earlier")

    delete "/api/segments/#{document.segments.second.id}/cut"
    expect(body.dig("error", "code")).to eq("join-border")
    lever = document.segments.find_by(source: "Check the red brake lever twice.")
    post "/api/segments/#{lever.id}/cut", params: { at: 14 }, as: :json
    expect(rows[2..3].map(&:first)).to eq(["Check the red", "brake lever twice."])
    post "/api/segments/#{lever.id}/cut", params: { at: 0 }, as: :json
    expect(response).to have_http_status(:not_found)

    # By hand survives other rules.
    Rules.new(project).drop
    document.reload.recut(by: user)
    expect(rows.map(&:first)).to eq(
      ["Load approx. Half the box.", "Then go.", "Check the red", "brake lever twice.", "Stay calm."]
    )
    expect(rows.map(&:last)).to eq(%w[draft translated untouched untouched translated])
    expect(Document::Placed.open(document).bytes.force_encoding("UTF-8")).to eq(
      "Carica ca. metà cassa. Poi via.\nCheck the red brake lever twice.\nCalma.\n"
    )
  end

  it "splits across codes, and puts the paragraph together again" do
    project = make_project(user, manual_docx([["p", "Use ", ["<w:b/>", "two red straps"], " here."]]))
    document = project.documents.first
    post "/api/segments/#{document.segments.first.id}/cut", params: { at: 8 }, as: :json
    expect(document.segments.reload.map(&:source)).to eq(["Use {1}two{/1}", "{1}red straps{/1} here."])
    document
      .reload
      .segments
      .zip(["Usa {1}due{/1}", "{1}cinghie rosse{/1} qui."]) do |segment, target|
        segment.confirm(target, origin: { "kind" => "typed" }, by: user)
      end
    written = Document::Placed.open(document).bytes
    again = Glossema::Document.new(written, name: "a.docx", language: "it", by: "paragraph")
    expect(again.segments.map { |segment| segment.content.written }).to eq(
      ["Usa {1}due cinghie rosse{/1} qui."]
    )
    delete "/api/segments/#{document.segments.first.id}/cut"
    expect(document.segments.reload.map { |segment| [segment.source, segment.target] }).to eq(
      [["Use {1}two red straps{/1} here.", "Usa {1}due{/1} {1}cinghie rosse{/1} qui."]]
    )
  end

  it "shows, tries, keeps, exports and drops rules, and cuts the project anew" do
    translate("Then go." => "Poi via.")
    get "/api/projects/#{project.id}/rules"
    expect(body.values_at("from", "language")).to eq(%w[default en-GB])
    expect(body["sample"]).to eq("Load approx. Half the box. Then go.\nCheck the red brake lever twice.")
    english = body["groups"].find { |group| group["name"] == "English" }
    expect(english["rules"].flat_map { |rule| rule["words"].to_a }).to include("approx", "e.g")

    groups =
      body["groups"].each do |group|
        group["rules"].each { |rule| rule["words"] -= ["approx"] if rule["words"] }
      end
    post "/api/projects/#{project.id}/rule_trials",
      params: {
        groups: groups,
        text: body["sample"],
        language: "en-GB"
      },
      as: :json
    expect(body["lines"].first).to eq(
      [
        { "text" => "Load approx.", "changed" => true },
        { "text" => "Half the box.", "changed" => true },
        { "text" => "Then go.", "changed" => false }
      ]
    )
    expect(rows.size).to eq(4)

    perform_enqueued_jobs { patch "/api/projects/#{project.id}/rules", params: { groups: groups }, as: :json }
    expect(body["from"]).to eq("project")
    expect(rows.map { |source, _, state| [source, state] }.first(3)).to eq(
      [["Load approx.", "untouched"], ["Half the box.", "untouched"], ["Then go.", "translated"]]
    )
    get "/api/projects/#{project.id}/rules?as=srx"
    file = response.body
    expect(Glossema::Segmentation::Srx.new(file).to_h).to eq(Rules.new(project.reload).srx.to_h)

    perform_enqueued_jobs do
      post "/api/projects/#{project.id}/exceptions", params: { text: "approx." }, as: :json
    end
    expect(rows.first.first).to eq("Load approx. Half the box.")
    perform_enqueued_jobs { delete "/api/projects/#{project.id}/rules" }
    expect(body["from"]).to eq("default")
    patch "/api/rules", params: { file: upload(file, "mine.srx") }
    expect(body["from"]).to eq("mine")
    get "/api/projects/#{project.id}/rules"
    expect(body["from"]).to eq("mine")
  end

  {
    "a rule that is no pattern" => {
      groups: [{ name: "All", pattern: ".*", rules: [{ break: true, before: "(", after: "" }] }]
    },
    "an exception after nothing" => nil
  }.each do |what, params|
    it "refuses #{what} in a sentence and changes nothing" do
      if params
        patch("/api/projects/#{project.id}/rules", params: params, as: :json)
      else
        post("/api/projects/#{project.id}/exceptions", params: { text: " " }, as: :json)
      end
      expect(response).to have_http_status(:unprocessable_content)
      expect(body.dig("error", "message")).to end_with(".")
      expect(project.reload.rules).to be_nil
    end
  end

  it "compares a new version, takes it in with what stayed, and puts the old one back" do
    translate(
      "Then go." => "Poi via.",
      "Check the red brake lever twice." => "Controlla due volte la leva rossa.",
      "Stay calm." => "Calma."
    )
    fresh =
      "A new beginning for all.\nLoad approx. Half the box. Then go.\nCheck the blue brake lever twice.\n"
    perform_enqueued_jobs do
      post "/api/documents/#{document.id}/version", params: { files: [upload(fresh, "leaflet-2.txt")] }
    end
    pending = Document.find(body["id"])
    expect(pending.comparison).to eq(
      "same" => {
        "segments" => 2,
        "words" => 7
      },
      "changed" => {
        "segments" => 1,
        "words" => 6
      },
      "new" => {
        "segments" => 1,
        "words" => 5
      },
      "gone" => {
        "segments" => 1,
        "words" => 2
      },
      "lost" => 1
    )
    expect(project.reload.documents).to eq([document])
    expect(project.segments.count).to eq(4)
    told = report_of(pending)

    history = document.segments.find_by(source: "Then go.").versions.count
    patch "/api/documents/#{pending.id}/version"
    finish
    expect(project.reload.documents.map(&:name)).to eq(["leaflet-2.txt"])
    now = project.segments.order(:position)
    expect(now.map { |segment| [segment.source, segment.target, segment.state] }).to eq(
      [
        ["A new beginning for all.", "", "untouched"],
        ["Load approx. Half the box.", "", "untouched"],
        ["Then go.", "Poi via.", "translated"],
        ["Check the blue brake lever twice.", "Controlla due volte la leva rossa.", "draft"]
      ]
    )
    expect(now.third.versions.count).to eq(history)
    expect(report_of(pending.reload)).to eq(told)
    get "/api/segments/#{now.last.id}/proposals"
    expect(body["proposals"].first).to include(
      "kind" => "earlier",
      "score" => 84,
      "source" => "Check the red brake lever twice.",
      "target" => "Controlla due volte la leva rossa."
    )
    expect(body["proposals"].first["differences"].map { |one| one.values_at("source", "memory") }).to eq(
      [%w[blue red]]
    )

    delete "/api/documents/#{pending.id}/version"
    expect(project.reload.documents).to eq([document])
    expect(rows.map(&:last)).to eq(%w[untouched translated translated translated])
    delete "/api/documents/#{document.id}/version"
    expect(body.dig("error", "message")).to include("has no previous version")
  end

  # The workbook for the client says the same before and after the version is taken in.
  def report_of(pending)
    get "/api/documents/#{pending.id}/version"
    expect(response.headers["Content-Disposition"]).to include("leaflet-2 changes.xlsx")
    table = Glossema::Formats.detect(response.body, "c.xlsx").read(response.body, name: "c.xlsx", options: {})
    rows = table.first_rows(10)
    expect(rows.map { |row| row.first(3) }).to eq(
      [%w[Item Segments Words], %w[unchanged 2 7], %w[75–84 1 6], %w[new 1 5], %w[removed 1 2], %w[All 4 18]]
    )
    expect(table.units.map { |unit| unit.content.text }).to include("Check the blue brake lever twice.",
      "Check the red brake lever twice.", "Stay calm.")
    rows
  end

  it "refuses a new version of another format or without text, and leaves all as it was" do
    { "a.csv" => "One,Two\n", "b.txt" => " \n" }.each do |name, bytes|
      perform_enqueued_jobs do
        post "/api/documents/#{document.id}/version", params: { files: [upload(bytes, name)] }
      end
      pending = Document.find(body["id"])
      expect([pending.state, pending.message]).to match(["refused", /#{name}/])
      patch "/api/documents/#{pending.id}/version"
      expect(response).to have_http_status(:unprocessable_content)
    end
    expect(project.reload.documents).to eq([document])
  end

  it "keeps what is translated when files are cut by paragraph after all" do
    translate(
      "Stay calm." => "Calma.",
      "Load approx. Half the box." => "Carica mezza cassa.",
      "Then go." => "Poi via."
    )
    perform_enqueued_jobs { patch "/api/documents/#{document.id}", params: { by: "paragraph" }, as: :json }
    expect(rows).to eq(
      [
        ["Load approx. Half the box. Then go.", "Carica mezza cassa. Poi via.", "draft"],
        ["Check the red brake lever twice.", "", "untouched"],
        ["Stay calm.", "Calma.", "translated"]
      ]
    )
  end

  it "refuses options a file of a running project cannot be read by, and keeps those it had" do
    project = make_project(user, File.binread("demo/formats/prices.xlsx"), name: "prices.xlsx")
    document = project.documents.first
    patch "/api/documents/#{document.id}", params: { options: { columns: "Zebra" } }, as: :json
    expect(body.dig("error", "message")).to eq("prices.xlsx has no column “Zebra”.")
    expect(document.reload.options).to eq({})
    perform_enqueued_jobs do
      patch "/api/documents/#{document.id}", params: { options: { sheet_names: false } }, as: :json
    end
    expect(document.reload.segments.count).to eq(6)
  end

  it "takes over what bilingual files hold, and writes states back" do
    xliff = File.read("demo/formats/course.xlf")
    project = make_project(user, xliff, name: "course.xlf")
    document = project.documents.first
    expect(
      document.segments.map { |segment| [segment.state, segment.origin["kind"], segment.versions.count] }
    ).to eq(
      [
        ["untouched", nil, 0],
        ["draft", "file", 1],
        ["final", "file", 1],
        ["untouched", nil, 0],
        ["untouched", nil, 0]
      ]
    )
    get "/api/segments/#{document.segments.second.id}/proposals"
    expect(body["proposals"].first).to include(
      "kind" => "file",
      "score" => 82,
      "target" => "Porta un grembiule."
    )
    document.segments.first.confirm("Tornio per principianti", origin: { "kind" => "typed" }, by: user)
    delivery = deliver(project, by: user)
    written = delivery.files.first.content.download.force_encoding("UTF-8")
    expect(delivery.files.first.proof["identical"]).to be(true)
    expect(written).to include("<target state=\"translated\">Tornio per principianti</target>").and include(
            "<target state=\"final\">Prenota ora</target>"
          ).and include("state=\"needs-review-translation\"")
  end

  it "reads files anew when options or the target language change" do
    get "/api/formats"
    xlsx = body.find { |format| format["name"] == "XLSX" }
    expect(xlsx["options"].map { |option| option.values_at("name", "kind") }).to include(
      %w[hidden_sheets switch],
      %w[ranges text]
    )
    post "/api/projects", as: :json
    brief = Project.find(body["id"])
    po =
      "msgid \"\"\nmsgstr \"Content-Type: text/plain; charset=UTF-8\\n\"\n\nmsgid \"%d " \
        "bike\"\nmsgid_plural \"%d bikes\"\nmsgstr[0] \"\"\nmsgstr[1] \"\"\n"
    perform_enqueued_jobs do
      post "/api/projects/#{brief.id}/documents",
        params: {
          files: [upload(File.binread("demo/formats/prices.xlsx"), "prices.xlsx"), upload(po, "app.po")]
        }
    end
    sheet, plurals = brief.documents.reload.to_a
    expect(sheet.segments.count).to eq(7)
    perform_enqueued_jobs do
      patch "/api/documents/#{sheet.id}",
        params: {
          options: {
            sheet_names: false,
            ranges: "A2:A9",
            unknown: "x"
          }
        },
        as: :json
    end
    expect(sheet.reload.options).to eq("sheet_names" => false, "ranges" => "A2:A9")
    expect(sheet.segments.map { |one| one.location["cell"] }.grep(/A\d/)).to eq(%w[A2 A3 A4])
    perform_enqueued_jobs do
      patch "/api/documents/#{sheet.id}", params: { options: { ranges: "nonsense!!" } }, as: :json
    end
    expect(sheet.reload.message).to include("is not a range")
    perform_enqueued_jobs do
      patch "/api/projects/#{brief.id}", params: { source_lang: "en", target_lang: "pl" }, as: :json
    end
    expect(plurals.reload.segments.count).to eq(3)
  end
end
