# Work given away and back: a package out, opened by a colleague with another account, handed back, its
# changes taken one by one.
RSpec.describe "Hand-overs" do
  let(:user) { make_user }
  let(:colleague) { make_user("Anneke Vos") }
  let(:memory) { make_memory(user, [["Check the chain.", "Controllare la catena."]]) }
  let(:project) do
    text = [["p", "Check the chain. Oil it."], ["p", ["<w:b/>", "Warning:"], " hot"]]
    made = make_project(user, manual_docx(text),
      memories: [{ "memory_id" => memory.id, "learns" => "never" }])
    made.update!(never_used: [], subject: "Bicycles")
    made.reference_files.attach(io: StringIO.new("%PDF-1.4"), filename: "drawing.pdf")
    termbase = user.termbases.create!(name: "Terms")
    made.attach_termbases([{ termbase_id: termbase.id, checks: true }])
    termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catena" }, by: user)
    made.reload
  end
  let(:segments) { project.segments.order(:position).to_a }
  let(:round) { project.review_rounds.first }

  before do
    sign_in(user)
    segments[0].confirm("Controllare la catena.", origin: { "kind" => "typed" }, by: user)
  end

  def hand_over(**more)
    post "/api/projects/#{project.id}/review_rounds",
      params: { reviser: "Anneke Vos", as: "hand-over", task: "translate", message: "By Friday, please.",
                **more },
      as: :json
    finish
    get "/api/review_rounds/#{round.id}", params: { as: "file" }
    response.body
  end

  def bring(bytes, name: "p.zip", **more)
    post "/api/hand_overs", params: { file: upload(bytes, name), **more }
    more[:take] ? outcome : body
  end

  def back(bytes, name: "back.zip")
    post "/api/projects/#{project.id}/review_sheet", params: { file: upload(bytes, name) }
    outcome
  end

  it "are looked at, become a project with all that goes along, and come back as changes" do
    package = hand_over
    expect(round.sheet.filename.to_s).to end_with(".zip")
    sign_in(colleague)
    expect(bring(package)["look"]).to include("from" => user.name, "task" => "translate", "segments" => 3,
      "instructions" => "By Friday, please.", "termbases" => ["Terms"],
      "memories" => project.attachments.map { |one| one.memory.name },
      "files" => [{ "name" => "manual.docx", "words" => 7 }])
    expect([colleague.projects.count, Segment.where.not(project: project).count]).to eq([0, 0])
    bring(package, take: true)
    own = colleague.projects.first
    expect(own).to have_attributes(name: project.name, subject: "Bicycles", source_lang: "en-GB")
    expect(own.segments.order(:position).pluck(:source, :target)).to eq(
      project.segments.order(:position).pluck(:source, :target)
    )
    expect(own.reference_files.map { |file| file.filename.to_s }).to eq(["drawing.pdf"])
    expect(own.memories.map { |one| one.units.pluck(:source) }).to include(["Check the chain."])
    expect(own.attached_termbases.first.termbase.entries.count).to eq(1)

    texts = ["Verificare la catena.", "Oliarla.", "{1}Avvertenza:{/1} caldo"]
    own.segments.order(:position).zip(texts) do |segment, text|
      segment.confirm(text, origin: { "kind" => "typed" }, by: colleague)
    end
    returned = fetch("/api/projects/#{own.id}/hand_back")
    sign_in(user)
    segments[1].reload.confirm("Ungerla.", origin: { "kind" => "typed" }, by: user)
    expect(back(returned)["strange"]).to include("gone" => [], "added" => [])
    get "/api/review_rounds/#{round.id}"
    expect(body["changes"].map { |one|
      one.values_at("number", "before", "after", "author", "conflict")
    }).to eq([
      [1, "Controllare la catena.", "Verificare la catena.", "Anneke Vos", false],
      [2, "", "Oliarla.", "Anneke Vos", true], [3, "", "{1}Avvertenza:{/1} caldo", "Anneke Vos", false]
    ])
    post "/api/review_rounds/#{round.id}/decisions",
      params: { ids: body["changes"].map { |one| one["id"] }, decision: "taken" }, as: :json
    expect(project.segments.order(:position).pluck(:target)).to eq(texts)
  end

  describe "of shares of the words" do
    let(:project) do
      page = "<h2>Brakes</h2><p>Check the brakes before each ride today.</p>" \
        "<h2>Chain</h2><p>Check the chain and oil it.</p><p>Stop.</p>"
      make_project(user, page, name: "page.html",
        memories: [{ "memory_id" => memory.id, "learns" => "never" }])
    end
    let(:memory) do
      make_memory(user, [["Check the chain.", "Controllare la catena."],
                         ["Quite another thing.", "Tutt’altro."],
                         ["Check the chain and oil it.", "Controllare la catena e oliarla."]])
    end

    def division(**more)
      get "/api/projects/#{project.id}/division", params: { count: 2, **more }
      body
    end

    it "cut the text at headings, each opened with the rest to be read only, and come back one by one" do
      parts = division
      expect(parts).to include("borders" => "heading", "near" => true)
      expect(parts["shares"].map { |one| one.values_at("words", "segments") }).to eq([[8, 2], [8, 3]])
      expect(parts["shares"].flat_map { |one| one["segment_ids"] }).to eq(segments.map(&:id))
      colleagues = [colleague, make_user("Matteo Ferrante")]
      packages = colleagues.zip(parts["shares"]).map do |one, share|
        sign_in(user)
        post "/api/projects/#{project.id}/review_rounds",
          params: { reviser: one.name, as: "hand-over", segment_ids: share["segment_ids"] }, as: :json
        get "/api/review_rounds/#{outcome["round_id"]}", params: { as: "file" }
        worked(one, response.body)
      end
      sign_in(user)
      packages.each { |package| back(package) }
      rounds = project.review_rounds.reload.to_a
      expect(rounds.map { |one|
        [one.reviser, one.corrections.map { |change|
          change.segment.position
        }]
      }).to eq(
        [["Anneke Vos", [1, 2]], ["Matteo Ferrante", [3, 4, 5]]]
      )
      rounds.each { |one| one.decide(one.corrections, "taken", by: user) }
      expect(project.segments.order(:position).pluck(:target)).to eq((1..5).map { |number|
        "Testo #{number}"
      })
    end

    # What somebody hands back of a package in which she wrote in all that is hers.
    def worked(person, package)
      sign_in(person)
      bring(package, take: true)
      own = person.projects.last
      mine = own.segments.order(:position).to_a
      expect(own.whole_text.count).to eq(5)
      expect(own.documents.first.facts["words"]).to eq(mine.sum(&:words))
      other = own.whole_text.find_by(locked: true)
      patch "/api/segments/#{other.id}", params: { target: "Altro" }, as: :json
      expect(body["error"]["code"]).to eq("segment-locked")
      mine.each { |one| one.confirm("Testo #{one.position}", origin: { "kind" => "typed" }, by: person) }
      fetch("/api/projects/#{own.id}/hand_back")
    end

    it "take only what matches of memories and termbases along" do
      termbase = user.termbases.create!(name: "Terms")
      project.attach_termbases([{ termbase_id: termbase.id, checks: true }])
      termbase.add_pair({ "en-GB" => "chain", "it-IT" => "catena" }, by: user)
      termbase.add_pair({ "en-GB" => "saddle", "it-IT" => "sella" }, by: user)
      package = Glossema::Exchange::Package.new(hand_over(matching: true), "p.zip")
      own = package.about["memories"].find { |one| one["name"] == memory.name }
      units, terms = [own["path"], "terms/1.tbx"].map { |path|
        package.part(path).dup.force_encoding("UTF-8")
      }
      expect(units.scan(/chain and oil it|Quite another thing/)).to eq(["chain and oil it"])
      expect(terms.scan(/catena|sella/)).to eq(["catena"])
    end

    it "are refused where there are not so many paragraphs" do
      expect(division(count: 9)["error"]["code"]).to eq("shares-count")
    end
  end

  # A package whose parts are as its manifest says, with an original that breaks off.
  def damaged(bytes)
    package = Glossema::Exchange::Package.new(bytes, "a.zip")
    parts = package.paths.to_h { |path| [path, package.part(path)] }
    original = package.about["files"].first["original"]
    Glossema::Exchange::Package.write("hand-over", package.about,
      { **parts, original => parts[original][0, 900] })
  end

  it "take along what is wanted only" do
    package = hand_over(memories: false, termbases: false, document_ids: [project.documents.first.id])
    sign_in(colleague)
    expect(bring(package)["look"]).to include("memories" => [], "termbases" => [])
  end

  it "bring more to the memories and termbases that an earlier one brought" do
    first = hand_over
    Memory::Writer.new(memory).add(source: "Oil it.", target: "Oliarla.")
    user.termbases.first.add_pair({ "en-GB" => "oil", "it-IT" => "olio" }, by: user)
    hand_over
    get "/api/review_rounds/#{project.review_rounds.reload.last.id}", params: { as: "file" }
    second = response.body
    sign_in(colleague)
    [first, second].each { |package| bring(package, take: true) }
    perform_enqueued_jobs(only: OperationJob)
    made = colleague.projects.order(:id).to_a
    expect(made.size).to eq(2)
    shared = made.map { |one| one.memories.find_by!(origin: memory.reload.origin) }
    expect(shared.uniq.size).to eq(1)
    expect(shared.first.units.pluck(:source)).to contain_exactly("Check the chain.", "Oil it.")
    terms = made.map { |one| one.attached_termbases.first.termbase }
    expect(terms.uniq.size).to eq(1)
    expect(terms.first.reload.size).to eq(2)
    expect(colleague.memories.present.where(origin: memory.origin).count).to eq(1)
  end

  it "are refused where they are none, the wrong way round, altered, or open already" do
    package = hand_over
    expect(bring(manual_docx, name: "a.docx")["error"]["code"]).to eq("package-none")
    expect(back(package)["error"]["code"]).to eq("package-kind")
    altered = Zip::OutputStream.write_buffer { |out|
      Zip::File.open_buffer(StringIO.new(package)).each do |entry|
        out.put_next_entry(entry.name)
        out.write(entry.name.end_with?(".xlf") ? "<xliff/>" : entry.get_input_stream.read)
      end
    }.string
    expect(bring(altered, take: true)["error"]["code"]).to eq("package-altered")
    sign_in(colleague)
    expect(bring(damaged(package), take: true)["error"]["code"]).to eq("package-unreadable")
    expect([colleague.projects.count, Segment.where.not(project: project).count]).to eq([0, 0])
    2.times { bring(package, take: true) }
    expect(body["error"]["code"]).to eq("package-twice")
    expect(colleague.projects.count).to eq(1)
    get "/api/projects/#{colleague.projects.first.id}/hand_back"
    expect(bring(response.body)["error"]["code"]).to eq("package-kind")
    sign_in(user)
    get "/api/projects/#{project.id}/hand_back"
    expect(body["error"]["code"]).to eq("package-own")
  end
end
