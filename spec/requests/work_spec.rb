# The path of a project through the API: dropped, briefed, translated, delivered.
RSpec.describe "The work" do
  let(:user) { make_user }
  let(:memory) do
    make_memory(
      user,
      {
        "The rear deck carries up to {1}60 kg{/1}, including the child seat." =>
          "Il pianale posteriore porta fino a {1}60 kg{/1}, seggiolino compreso.",
        "Ask your dealer." => "Rivolgersi al rivenditore."
      }
    )
  end

  before { sign_in(user) }

  def upload(bytes, name)
    Rack::Test::UploadedFile.new(
      StringIO.new(bytes),
      "application/octet-stream",
      true,
      original_filename: name
    )
  end

  def drop(files)
    post "/api/projects", as: :json
    project = Project.find(body["id"])
    perform_enqueued_jobs do
      post "/api/projects/#{project.id}/documents",
        params: {
          files: files.map { |name, bytes| upload(bytes, name) }
        }
    end
    project.reload
  end

  it "reads dropped files, proposes the rest, and refuses what cannot be read in a sentence" do
    client = user.clients.create!(name: "Tarnholt Cargo Cycles", code: "TRN")
    earlier =
      make_project(user, memories: [{ "memory_id" => memory.id, "learns" => "deliver", "penalty" => 2 }])
    earlier.update!(
      client: client,
      reference: "TRN-#{Time.current.strftime("%y")}01",
      subject: "Bicycles, manuals"
    )
    project =
      drop(
        "spring_manual.docx" =>
          manual_docx(
            Making::MANUAL + [["p", "Tarnholt Cargo Cycles is where it was built by hand and is for you."]]
          ),
        "notes.txt" => "Bring the bicycle to the dealer.",
        "bad.docx" => "PK\x03\x04broken",
        "empty.txt" => " "
      )
    get "/api/projects/#{project.id}"
    expect(body["documents"].map { |row| row.values_at("name", "state", "format") }).to eq(
      [
        %w[spring_manual.docx ready DOCX],
        %w[notes.txt ready Text],
        ["bad.docx", "refused", nil],
        ["empty.txt", "refused", nil]
      ]
    )
    expect(body["documents"].filter_map { |row| row["message"] }).to all(
      match(/\A(bad\.docx|empty\.txt) .+\.\z/)
    )
    expect(body).to include(
      "name" => "Spring manual",
      "client" => "Tarnholt Cargo Cycles",
      "source_lang" => "en-GB",
      "target_lang" => "it-IT",
      "subject" => "Bicycles, manuals",
      "reference" => "TRN-#{Time.current.strftime("%y")}02"
    )
    expect(body["due_at"]).to be_present
    expect(body["memories"].map { |row| row.values_at("memory_id", "learns", "penalty") }).to eq(
      [[memory.id, "deliver", 2]]
    )
    bands =
      body["documents"].first["bands"]
        .transform_values { |band| band["words"] }
        .reject { |_, words| words.zero? }
    expect(bands).to include("exact" => 3, "repetition" => 4)
    expect(bands.values.sum).to eq(body["documents"].first.dig("facts", "words"))

    post "/api/projects/#{project.id}/beginning", as: :json
    expect(body["error"]).to include("code" => "leaves-out",
      "message" => /not be included: bad\.docx is damaged/)
    expect(project.reload).not_to be_begun
    post "/api/projects/#{project.id}/beginning", params: { without_unread: true }, as: :json
    ready = body["documents"].select { |row| row["state"] == "ready" }
    expect(ready.map { |row| row["name"] }).to eq(%w[spring_manual.docx notes.txt])
    expect(body["memories"].map { |row| row["learns"] }).to eq(%w[confirm deliver])
  end

  it "keeps what she set herself when the proposals change" do
    project = drop("a.txt" => "Bring the bicycle to the dealer.")
    patch "/api/projects/#{project.id}",
      params: {
        name: "Mine",
        target_lang: "nl-NL",
        due_at: "2027-01-04T15:00:00Z"
      },
      as: :json
    perform_enqueued_jobs do
      post "/api/projects/#{project.id}/documents",
        params: {
          files: [upload("More of the text to be read.", "b.txt")]
        }
    end
    expect(project.reload).to have_attributes(
      name: "Mine",
      target_lang: "nl-NL",
      due_at: Time.utc(2027, 1, 4, 15)
    )
  end

  {
    "no language" => [{ target_lang: "" }, /Choose the target language/],
    "nonsense for a language" => [{ target_lang: "Italian" }, /not a language tag/],
    "the same language" => [{ target_lang: "en" }, /is the language of the files/]
  }.each do |fault, (fields, message)|
    it "does not begin with #{fault}" do
      project = drop("a.txt" => "Bring the bicycle to the dealer, and have it checked.")
      patch "/api/projects/#{project.id}", params: { source_lang: "en" }.merge(fields), as: :json
      post "/api/projects/#{project.id}/beginning", as: :json if response.successful?
      expect(response).to have_http_status(422)
      expect(body.dig("error", "message")).to match(message)
      expect(project.reload).not_to be_begun
    end
  end

  it "cancels a reading, begins it again, and goes on with it after a restart" do
    post "/api/projects", as: :json
    project = Project.find(body["id"])
    post "/api/projects/#{project.id}/documents", params: { files: [upload(manual_docx, "m.docx")] }
    document = project.documents.first
    delete "/api/documents/#{document.id}/reading"
    perform_enqueued_jobs
    expect(document.reload).to have_attributes(state: "cancelled", message: "Reading was cancelled.")
    expect(document.segments.count).to eq(0)

    post "/api/documents/#{document.id}/reading"
    # The server dies in the middle: some segments are there, the job is not.
    document.update!(state: "reading")
    Segment.insert_all!(
      [
        {
          document_id: document.id,
          project_id: project.id,
          position: 1,
          key: "x",
          block: "line",
          location: { kind: "name", name: "x" },
          source: "half",
          source_key: "x",
          words: 1,
          characters: 4
        }
      ]
    )
    Operations::FileReading.last.update!(state: "running", active: true)
    clear_enqueued_jobs
    perform_enqueued_jobs { Operation.resume }
    expect(document.reload.state).to eq("ready")
    expect(document.segments.pluck(:source)).to eq(
      [
        "The rear deck carries up to {1}80 kg{/1}, including the child seat.",
        "Check the straps again.",
        "Never leave a child alone.",
        "Check the straps again.",
        "Ask your dealer."
      ]
    )
  end

  describe "a project begun" do
    let(:project) { make_project(user, memories: [{ "memory_id" => memory.id, "learns" => "deliver" }]) }
    let(:segments) { project.segments.order(:position).to_a }

    def write(segment, target, **more)
      patch(
        "/api/segments/#{segment.id}",
        params: { target: target, origin: { kind: "typed" } }.merge(more),
        as: :json
      )
    end

    it "keeps drafts out of the memories, and confirmed text in those that learn at once" do
      own = project.attachments.first.memory
      write(segments[1], "Ricontrollare")
      expect([own.units.count, segments[1].reload.state]).to eq([0, "draft"])
      write(segments[1], "Ricontrollare le cinghie.", confirm: true)
      expect(body["segment"]).to include("state" => "translated", "target" => "Ricontrollare le cinghie.")
      expect(body["repeats"].map { |row| row.values_at("position", "state", "target") }).to eq(
        [[4, "draft", "Ricontrollare le cinghie."]]
      )
      unit = own.units.first
      expect(unit).to have_attributes(
        author: "Ines Calloway",
        file: "manual.docx",
        project: project.reference,
        previous_hash: TranslationUnit.hash_of_key(segments[0].source_key),
        next_hash: TranslationUnit.hash_of_key(segments[2].source_key)
      )

      write(segments[1], "Controllare di nuovo le cinghie.", confirm: true)
      expect(own.units.reload.map(&:target)).to eq(["Controllare di nuovo le cinghie."])
      expect(segments[3].reload.target).to eq("Controllare di nuovo le cinghie.")
      expect(memory.units.count).to eq(2)
    end

    it "leaves repeats alone that somebody worded otherwise" do
      write(segments[3], "Le cinghie, ancora una volta.", confirm: true)
      write(segments[1], "Ricontrollare le cinghie.", confirm: true)
      expect(segments[3].reload.target).to eq("Le cinghie, ancora una volta.")
    end

    it "refuses codes the source does not have and confirming nothing, and changes nothing" do
      write(segments[0], "Uno {7}due{/7}")
      expect(body.dig("error", "message")).to include("{7}")
      write(segments[0], "  ", confirm: true)
      expect(body.dig("error", "code")).to eq("target-empty")
      expect(segments[0].reload).to have_attributes(target: "", state: "untouched")
    end

    it "makes the finished file at any time, and records nothing" do
      write(segments[4], "Rivolgersi al rivenditore.", confirm: true)
      get "/api/documents/#{project.documents.first.id}/finished_file"
      expect(response.headers["Content-Disposition"]).to include("it-IT")
      read = Glossema::Document.new(response.body, name: "x.docx", language: "it")
      expect(read.segments.map { |segment| segment.content.text }).to include("Rivolgersi al rivenditore.")
      expect(Delivery.count).to eq(0)
      project.documents.first.update!(state: "reading")
      get "/api/documents/#{project.documents.first.id}/finished_file"
      expect(body["error"]["code"]).to eq("not-read-yet")
    end

    it "makes no version of a mark, and leaves the state as it is" do
      write(segments[4], "Rivolgersi al rivenditore.", confirm: true)
      write(segments[4], "Rivolgersi al rivenditore.", marked: true)
      write(segments[3], "", marked: true)
      write(segments[2], "Oliare.", marked: true, confirm: true)
      expect(segments[2].reload).to have_attributes(marked: true, state: "translated")
      rows = [segments[4], segments[3]].map(&:reload)
      expect(rows.map { |row| [row.state, row.marked, row.versions.count] }).to eq(
        [["translated", true, 1], ["untouched", true, 0]]
      )
    end

    it "keeps every version, drafts typed in one go as one" do
      write(segments[4], "Riv")
      write(segments[4], "Rivolgersi")
      write(segments[4], "Rivolgersi al rivenditore.", confirm: true)
      write(segments[4], "Chiedere", origin: { kind: "memory", score: 80 })
      get "/api/segments/#{segments[4].id}/versions"
      expect(body.map { |row| row.values_at("target", "state", "author") }).to eq(
        [
          ["Chiedere", "draft", user.name],
          ["Rivolgersi al rivenditore.", "translated", user.name],
          ["Rivolgersi", "draft", user.name]
        ]
      )
    end

    it "offers what the memories know, with what differs and where it came from" do
      get "/api/segments/#{segments[0].id}/proposals"
      offer = body["proposals"].first
      expect(offer).to include(
        "kind" => "adapted",
        "score" => 99,
        "stored" => "Il pianale posteriore porta fino a 60 kg, seggiolino compreso.",
        "target" => "Il pianale posteriore porta fino a {1}80 kg{/1}, seggiolino compreso.",
        "author" => "Matteo Ferrante",
        "client" => "Tarnholt",
        "memory" => memory.name
      )
      expect(offer["differences"].map { |row| row.values_at("op", "source", "memory", "source_span") }).to eq(
        [["replace", "80", "60", [28, 30]]]
      )
      get "/api/segments/#{segments[4].id}/proposals"
      expect(body["proposals"].first.values_at("kind", "score")).to eq(["exact", 100])
    end

    it "says what is not done, delivers all the same, proves it, and teaches the memories that learn then" do
      write(segments[0], "Il pianale posteriore porta fino a 80 kg.", confirm: true)
      write(segments[1], "Ricontrollare le cinghie.", confirm: true)
      get "/api/projects/#{project.id}/readiness"
      expect(body["items"].transform_values { |item| item["count"] }).to eq(
        "untouched" => 2,
        "draft" => 1,
        "codes" => 1
      )
      expect(body["items"]["codes"]["places"].first).to include("id" => segments[0].id, "number" => 1)

      post "/api/projects/#{project.id}/deliveries", as: :json
      finish
      get "/api/projects/#{project.id}/deliveries"
      file = body.first["files"].first
      expect(body.first["learned"]).to eq(2)
      expect(file).to include("name" => "manual_it-IT.docx")
      expect(file["proof"]["differences"].map { |row| row["message"] }).to match(
        [a_string_matching(%r{\ACodes missing in .*: \{1\} \{/1\}\.\z})]
      )
      expect(memory.units.reload.map(&:target)).to include("Ricontrollare le cinghie.")

      get "/api/delivered_files/#{file["id"]}"
      expect(Digest::SHA256.hexdigest(response.body)).to eq(file["checksum"])
      expect(parts_of(response.body)["word/document.xml"].scan(%r{<w:t[^>]*>([^<]*)</w:t>}).flatten).to eq(
        [
          "Il pianale posteriore porta fino a 80 kg.",
          "Ricontrollare le cinghie.",
          "Never leave a child alone. Ricontrollare le cinghie.",
          "Ask your dealer."
        ]
      )
      get "/api/deliveries/#{Delivery.last.id}"
      expect(parts_of(response.body).keys).to eq(["it-IT/manual_it-IT.docx"])
      get "/api/projects/#{project.id}/deliveries"
      expect(body.map { |row| row["number"] }).to eq([1])
    end

    it "leaves files that were removed, and segments that are only read, out of what is left" do
      project.update!(last_segment_id: segments[0].id)
      segments[1].update!(locked: true)
      told = lambda do
        get "/api/today"
        [body["projects"].first["left"], body["projects"].first["words"].values.sum,
         body["resume"]&.fetch("number")]
      end
      words = project.segments.reload.sum(:words)
      expect(told.call).to eq([words, words, 1])
      get "/api/projects/#{project.id}"
      expect(body["words"].values.sum).to eq(words)
      project.documents.first.move_to_trash(by: user)
      expect(told.call).to eq([0, 0, nil])
    end

    it "puts the project into Today with what is left and where to go on" do
      write(segments[0], "Il pianale …")
      get "/api/today"
      expect(body["projects"].first).to include(
        "name" => "Owner’s manual",
        "left" => project.segments.sum(:words),
        "step" => "translate"
      )
      expect(body["resume"]).to include(
        "project_id" => project.id,
        "segment_id" => segments[0].id,
        "number" => 1,
        "total" => 5
      )
    end
  end
end
