# A whole project as one file: opened by another account, nothing is missing, record by record.
RSpec.describe "Archives" do
  let(:user) { make_user }
  let(:other) { make_user("Anneke Vos") }
  let(:memory) { make_memory(user, [["Check the chain.", "Controllare la catena."], ["Stop.", "Fermo."]]) }
  let(:project) do
    text = [["p", "Check the chain. Oil it."], ["p", ["<w:b/>", "Warning:"], " hot"], ["p", "Oil it."]]
    learning = [{ "memory_id" => memory.id, "learns" => "deliver" }]
    made = make_project(user, manual_docx(text), memories: learning)
    made.update!(client: user.clients.create!(name: "Tarnholt", people: [{ "name" => "Ada" }]),
      check_profile: { "checks" => { "end-mark" => { "level" => "off" } } })
    made
  end
  let(:segments) { project.segments.order(:position).to_a }

  # Everything there is to a project, done through the doors of the interface.
  before do
    termbase = user.termbases.create!(name: "Terms")
    project.attach_termbases([{ termbase_id: termbase.id, checks: true }])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catena" }, by: user)
    project.reference_files.attach(io: StringIO.new("%PDF-1.4 \xFF\x00".b), filename: "drawing.pdf")
    ["Controllare la catena", "Oliare.", "{1}Avvertenza:{/1}  caldo"].zip(segments) do |text, segment|
      segment.reload.confirm(text, origin: { "kind" => "typed" }, by: user)
    end
    checking = Project::Checking.new(project)
    Project::CheckRun.new(project).look_at_few
    row = checking.findings.first
    IgnoredFinding.let(project, row, place: "here", reason: "as printed", by: user)
    Operations::Fixes.perform_now(project, by: user,
      input: { "keys" => checking.findings.select { |one| one["fix"] }.pluck(:key) })
    Note.add(segments[0], "Ask Ada", by: user, kind: "question")
    project.learn_word("xyzzy", "project")
    send_sheet(project)
    inside = ReviewRound.begin_inside(project, by: user)
    inside.read(segments[1], "Oliare bene.", by: user)
    Note.remark(inside, segments[1], { "text" => "Now?", "error_type" => "style", "severity" => "minor" },
      by: user)
    count_now(Report.open_for(project, memories: [], made: "hand"))
    deliver(project, by: user)
    project.update!(last_segment_id: segments[1].id)
  end

  def archive
    sign_in(user)
    fetch("/api/projects/#{project.id}/archive")
  end

  def bring(bytes, **more)
    post "/api/hand_overs", params: { file: upload(bytes, "a.zip"), **more }
    more[:take] && body["error"].nil? ? finish : body
  end

  # What is the same wherever it stands: all but the numbers of records, and what names them.
  LOCAL = %w[id user_id subject_id token digest].freeze

  def told(row)
    row.attributes.except(*LOCAL, *ProjectArchive::COLUMNS.keys, "last_segment_id", "replaces_id", "words")
      .transform_values { |value|
      if value.is_a?(Hash)
        value.except("act", "from", "unit", "ids", *ProjectArchive::COLUMNS.keys)
      else
        value
      end
    }
  end

  def records(project)
    ProjectArchive.scopes(project).transform_values { |scope| scope.reorder(:id).map { |row| told(row) } }
  end

  it "open with another account with nothing missing" do
    bytes = archive
    before = records(project)
    sign_in(other)
    expect(bring(bytes)["look"]).to include("archive" => true, "name" => project.name, "segments" => 4,
      "memories" => match_array(project.memories.map(&:name)), "termbases" => ["Terms"])
    expect(other.projects.count).to eq(0)
    bring(bytes, take: true)
    opened = other.projects.first
    after = records(opened)
    before.each do |model, rows|
      expected = rows.map { |row| model == ReviewRound ? row.except("base") : row }
      found = after.fetch(model).map { |row| model == ReviewRound ? row.except("base") : row }
      expect(found).to eq(expected), "#{model}: #{found.inspect[0, 900]}\n#{expected.inspect[0, 900]}"
    end
    none = [TranslationUnitVersion, DetachedTranslation, Quote, TermCandidate]
    expect(before.select { |_, rows| rows.empty? }.keys - none).to eq([])
  end

  it "keep what names other records, the files, and what memories find" do
    bytes = archive
    sign_in(other)
    bring(bytes, take: true)
    opened = other.projects.first
    own = opened.segments.order(:position).to_a
    expect(opened.last_segment_id).to eq(own[1].id)
    expect(opened.review_rounds.first.base.keys.map(&:to_i)).to match_array(own.map(&:id))
    expect(opened.documents.first.original.download).to eq(project.documents.first.original.download)
    expect(opened.reference_files.first.download).to eq("%PDF-1.4 \xFF\x00".b)
    expect(opened.deliveries.first.files.first.content.download).to eq(
      project.deliveries.first.files.first.content.download
    )
    expect(opened.documents.first.page.download).to eq(project.documents.first.page.download)
    get "/api/projects/#{opened.id}/deliveries"
    expect(body.pluck("author")).to eq([user.name])
    query = own[0].query(nil, own[1])
    expect(opened.lookup.matches(query).first.score).to eq(100)
    stands = Project::Checking.new(opened).findings.filter_map { |row| row[:stands]&.reason }
    expect(stands).to eq(Project::Checking.new(project).findings.filter_map { |row| row[:stands]&.reason })
    Operations::Fixes.find_by(subject: opened).undo(by: other)
    expect(own[2].reload.target).to eq("{1}Avvertenza:{/1}  caldo")
  end

  it "bring the history of units that were deleted, which is undone in the memory that was brought" do
    unit = memory.units.order(:id).last
    Operations::UnitDeletion.perform_now(memory, by: user, input: { "chosen" => { "ids" => [unit.id] } })
    bytes = archive
    Operations::UnitDeletion.last.undo(by: user)
    sign_in(other)
    opened = Project.find(bring(bytes, take: true).result["project_id"])
    brought = opened.memories.find_by("name LIKE ?", "#{memory.name}%")
    counts = -> { [memory.units.count, brought.units.count] }
    before = counts.call
    Operations::UnitDeletion.find_by(subject: brought).undo(by: other)
    expect(counts.call).to eq([before[0], before[1] + 1])
    expect(brought.units.order(:id).last.slice(:source, :target)).to eq(unit.slice(:source, :target))
  end

  it "stand beside the project they were made of, and a broken one changes nothing" do
    bytes = archive
    2.times { expect(Project.find(bring(bytes, take: true).result["project_id"]).name).to eq(project.name) }
    expect(user.memories.pluck(:name)).to include("PRJ-2601", "PRJ-2601 (2)", "PRJ-2601 (3)")
    expect(user.clients.count).to eq(1)
    package = Glossema::Exchange::Package.new(bytes, "a.zip")
    expect(package.about["blobs"].map { |blob| blob["name"] }).not_to include("page")
    paths = ProjectArchive.scopes(project).keys.map { |model| ProjectArchive.part(model.table_name) }
    parts = paths.to_h { |path| [path, package.part(path)] }
    parts["records/segments.jsonl"] = parts["records/segments.jsonl"][0, 200]
    broken = Glossema::Exchange::Package.write("archive", package.about, parts)
    refused = nil
    counts = -> { [Project.count, Memory.count, Termbase.count, Segment.count, Client.count] }
    expect { refused = bring(broken, take: true) }.not_to(change(&counts))
    expect(refused["error"]).to include("code" => "package-damaged", "message" => include("a.zip"))
  end

  describe "whose records were tampered with" do
    # The rows of each table as an archive has them.
    def rows_of(bytes)
      package = Glossema::Exchange::Package.new(bytes, "a.zip")
      ProjectArchive.scopes(Project.new).keys.to_h do |model|
        text = package.part(ProjectArchive.part(model.table_name)).dup.force_encoding("UTF-8")
        [model, text.each_line.map { |line| JSON.parse(line) }]
      end
    end

    # No column of ours holds any of these by itself.
    WRONG_JSON = ["7", '"x"', "true", "[", "", "[[]]", '[{"id":[]}, 7]', "\\"].freeze
    WRONG_CELLS = [{}, [], { "a" => 1 }, 1e308, 2**70, "a\0b", true].freeze

    # What each kind of column takes of what is wrong elsewhere.
    RIGHT = { string: [], text: [], integer: [], boolean: [true], float: [1e308], decimal: [1e308],
              datetime: [], date: [], binary: [{}, { "a" => 1 }], json: [] }.freeze

    it "refuses every column of every table that is not what it should be" do
      told = rows_of(archive).flat_map do |model, rows|
        schema = ProjectArchive::Schema.new(model)
        row = rows.first or next []
        rows.each { |one| schema.check(one) }
        columns = model.columns.reject { |column| column.name == "id" || !row.key?(column.name) }
        taken = columns.flat_map do |column|
          wrong = WRONG_CELLS - RIGHT.fetch(column.type)
          wrong.reject { |value| refused?(schema, row.merge(column.name => value)) }
            .map { |value| [model.table_name, column.name, value] }
        end
        structured = columns.select { |column| column.type == :json }.product(WRONG_JSON)
        taken + structured.reject { |column, json| refused?(schema, row.merge(column.name => json)) }
          .map { |column, json| [model.table_name, column.name, json] }
      end
      expect(told).to eq([])
    end

    def refused?(schema, row)
      schema.check(row)
      false
    rescue ProjectArchive::Schema::Damaged
      true
    end

    it "is refused as a whole, and nothing of it is kept" do
      bytes = archive
      sign_in(other)
      before = [Project, Memory, Termbase, Client, Segment, TranslationUnit].map(&:count)
      { "documents" => ["bands", "7"], "segments" => ["codes", '[{"id":1}]'],
        "operations" => ["kind", "nonsense"] }.each do |table, (column, value)|
        expect(bring(altered(bytes, table, column, value), take: true)["state"] || "failed").to eq("failed")
        expect([Project, Memory, Termbase, Client, Segment, TranslationUnit].map(&:count)).to eq(before)
        get "/api/today"
        expect(response).to have_http_status(:ok)
      end
    end

    it "is refused where its manifest has other types" do
      package = Glossema::Exchange::Package.new(archive, "a.zip")
      parts = package.paths.to_h { |path| [path, package.part(path)] }
      [{ "project" => 7 }, { "people" => [] }, { "words" => {} }, { "blobs" => "x" },
       { "from" => [] }].each do |wrong|
        broken = Glossema::Exchange::Package.write("archive", { **package.about, **wrong }, parts)
        expect(bring(broken)["error"]).to include("code" => "package-damaged")
      end
      ["[]", "7", '{"glossema":7}', '{"glossema":{"format":1,"kind":[]},"parts":7}'].each do |manifest|
        expect(bring(Files.zip("manifest.json" => manifest))["error"]["code"]).to eq("package-none")
      end
    end

    it "is read as earlier versions wrote where segments stand" do
      words = "cue 2 · 00:00:01,000 → ? · top"
      operation = bring(altered(archive, "segments", "path", words), take: true)
      first, second = Project.find(operation.result["project_id"]).segments.order(:id).first(2)
      place = { "kind" => "cue", "cue" => 2, "start" => "00:00:01,000", "placement" => "top" }
      expect(first.location).to eq(place)
      expect(second.location).to eq(segments[1].location)
    end

    # The archive with a cell of its first row of a table changed.
    def altered(bytes, table, column, value)
      package = Glossema::Exchange::Package.new(bytes, "a.zip")
      parts = package.paths.to_h { |path| [path, package.part(path)] }
      path = ProjectArchive.part(table)
      lines = parts[path].dup.force_encoding("UTF-8").lines
      parts[path] = [JSON.generate(JSON.parse(lines.first).merge(column => value)), "\n", *lines.drop(1)].join
      Glossema::Exchange::Package.write("archive", package.about, parts)
    end
  end
end
