# Bad input gets a clear sentence and changes nothing; what is set is kept.
RSpec.describe "The edges" do
  let(:user) { make_user }

  before { sign_in(user) }

  it "keeps what a user sets, adds to her preferences, and refuses what is none" do
    patch "/api/settings", params: { words_per_hour: 420, preferences: { floor: 70 } }, as: :json
    patch "/api/settings", params: { preferences: { confirm_repeats: true } }, as: :json
    kept = { "floor" => 70, "confirm_repeats" => true }
    expect(body).to include("words_per_hour" => 420, "preferences" => kept)
    { { theme: "dark" } => "preference-unknown", { floor: 7 } => "preference-wrong",
      { confirm_repeats: "x" } => "preference-wrong" }.each do |wrong, code|
      patch "/api/settings", params: { words_per_hour: 9, preferences: wrong }, as: :json
      expect(body["error"]).to include("code" => code)
    end
    get "/api/session"
    expect(body).to include("words_per_hour" => 420, "preferences" => kept)
  end

  it "makes a client once, with a code" do
    post "/api/clients", params: { name: "Pell & Rook Ceramics" }, as: :json
    expect(body).to include("name" => "Pell & Rook Ceramics", "code" => "PEL")
    post "/api/clients", params: { name: "Pell & Rook Ceramics" }, as: :json
    expect(message).to eq("Name is already a client.")
    post "/api/clients", params: { name: " " }, as: :json
    expect(response).to have_http_status(422)
    get "/api/clients"
    expect(body.size).to eq(1)
  end

  it "makes memories of real languages with names of their own" do
    post "/api/memories", params: { name: "A", source_lang: "en", target_lang: "Italian" }, as: :json
    expect(message).to eq("The languages are not language tags such as en-GB.")
    2.times { post "/api/memories", params: { name: "A", source_lang: "en", target_lang: "it" }, as: :json }
    expect(message).to eq("Name is the name of another memory.")
    get "/api/memories", params: { source_lang: "en-US", target_lang: "it-CH" }
    expect(body.map { |row| row["name"] }).to eq(["A"])
    get "/api/memories", params: { source_lang: "it", target_lang: "en" }
    expect(body).to eq([])
  end

  it "attaches only memories of the pair, and keeps those it had when one does not fit" do
    fits = make_memory(user, [])
    dutch = user.memories.create!(name: "Dutch", source_lang: "en", target_lang: "nl")
    project = make_project(user, memories: [{ "memory_id" => fits.id, "learns" => "deliver" }])
    patch "/api/projects/#{project.id}",
      params: {
        name: "Changed",
        memories: [{ memory_id: dutch.id }]
      },
      as: :json
    expect(message).to eq("“Dutch” is from en to nl and does not match this project.")
    expect(project.reload.attachments.map(&:memory_id)).to include(fits.id)
    expect(project.name).to eq("Owner’s manual")
  end

  it "refuses files that do not come" do
    project = make_project(user)
    post "/api/projects/#{project.id}/documents", params: { files: ["text"] }
    expect(message).to eq("The value of files is not valid.")
    expect(project.documents.reload.map(&:by)).to eq(["sentence"])
  end

  it "takes a file name for a name and not for a path" do
    post "/api/projects", as: :json
    upload =
      Rack::Test::UploadedFile.new(
        StringIO.new("Some words."),
        "text/plain",
        true,
        original_filename: "../../etc/C:\\pass word.txt"
      )
    post "/api/projects/#{body["id"]}/documents", params: { files: [upload] }
    expect(Document.last.name).to eq("pass word.txt")
  end

  it "refuses to deliver what is not there, and to begin with files still being read" do
    post "/api/projects", as: :json
    id = body["id"]
    post "/api/projects/#{id}/deliveries", as: :json
    expect(message).to eq("There are no files to deliver.")
    post "/api/projects/#{id}/beginning", as: :json
    expect(message).to eq("The project was not created. Drop at least one file to translate.")
    post "/api/projects/#{id}/documents",
      params: {
        files: [
          Rack::Test::UploadedFile.new(
            StringIO.new("Words."),
            "text/plain",
            true,
            original_filename: "a.txt"
          )
        ]
      }
    post "/api/projects/#{id}/beginning", as: :json
    expect(message).to match(/Drop at least one file/)
    Project.find(id).update!(source_lang: "en-GB", target_lang: "it-IT")
    Document.last.update!(state: "ready")
    Document.last.dup.update!(state: "reading", name: "b.txt")
    post "/api/projects/#{id}/beginning", as: :json
    expect(message).to eq("The project was not created. Files are still being read. Try again in a moment.")
    expect(Project.find(id).begun_at).to be_nil
  end

  it "removes a project with all that hangs on it when its time is up, and leaves the memories" do
    project = make_project(user)
    project.segments.first.confirm("Fino a {1}80 kg{/1}", origin: {}, by: user)
    deliver(project, by: user)
    delete "/api/projects/#{project.id}"
    expect(response).to have_http_status(204)
    get "/api/projects/#{project.id}"
    expect(response).to have_http_status(404)
    TrashItem.purge_old
    expect(Segment.count).to be_positive
    travel(31.days) { TrashItem.purge_old }
    expect([Segment, Version, Document, Delivery, DeliveredFile, AttachedMemory].map(&:count)).to all(eq(0))
    expect(user.memories.first.units.count).to eq(1)
  end

  it "says in Today what comes next" do
    project = make_project(user, "Check the brakes.", name: "a.txt")
    step =
      lambda do
        get "/api/today"
        body["projects"].first["step"]
      end
    expect(step.call).to eq("translate")
    project.segments.first.confirm("Controllare i freni.", origin: {}, by: user)
    expect(step.call).to eq("deliver")
    deliver(project.reload, by: user)
    expect(step.call).to eq("delivered")
    travel(1.minute) { project.segments.first.confirm("Controllare bene i freni.", origin: {}, by: user) }
    expect(step.call).to eq("deliver")
    expect(body["resume"]).to be_nil
  end

  it "takes a language found without its region in the region she had before" do
    make_project(user, "Check the brakes of the bicycle.", name: "a.txt")
    post "/api/projects", as: :json
    id = body["id"]
    file =
      Rack::Test::UploadedFile.new(
        StringIO.new("The bicycle is for the transport of goods and for you."),
        "text/plain",
        true,
        original_filename: "b.txt"
      )
    perform_enqueued_jobs { post "/api/projects/#{id}/documents", params: { files: [file] } }
    get "/api/projects/#{id}"
    expect(body.values_at("source_lang", "target_lang")).to eq(%w[en-GB it-IT])
  end

  it "counts against what was known before the work began, not against the work itself" do
    project = make_project(user, "Check the brakes.\nCheck the brakes.\nRide on.", name: "a.txt")
    project.segments.first.confirm("Controllare i freni.", origin: {}, by: user)
    Operations::ProjectCount.perform_now(project, by: project.user)
    words =
      project
        .documents
        .first
        .bands
        .transform_values { |band| band["words"] }
        .reject { |_, count| count.zero? }
    expect(words).to eq("repetition" => 3, "new" => 5)
  end

  {
    ["owners-manual.docx", "Docx"] => "owners-manual_it-IT.docx",
    ["manual_en-GB.docx", "Docx"] => "manual_it-IT.docx",
    ["manual.en.txt", "PlainText"] => "manual_it-IT.txt",
    ["listen.txt", "PlainText"] => "listen_it-IT.txt",
    ["offer.pdf", "Docx"] => "offer_it-IT.docx"
  }.each do |(from, format), to|
    it "delivers #{from}, which is #{format}, as #{to}" do
      project = Project.new(source_lang: "en-GB", target_lang: "it-IT")
      document = Document.new(name: from, project: project)
      expect(DeliveredFile.name_for(document, Glossema::Formats.const_get(format))).to eq(to)
    end
  end

  it "delivers two files of one name as two, and learns on delivery only what is new" do
    memory = make_memory(user, [], name: "Delivered")
    learning = [{ "memory_id" => memory.id, "learns" => "deliver" }]
    project = make_project(user, "Check the brakes.", name: "a.txt", memories: learning)
    second = project.documents.first.dup
    second.update!(position: 2)
    second.original.attach(io: StringIO.new("Ring the bell."), filename: "a.txt", identify: false)
    second.read_later
    read_now(second)
    project.segments.each { |row| row.confirm("T", origin: {}, by: user) }
    post "/api/projects/#{project.id}/deliveries", as: :json
    made = finish.delivery
    expect([made.files.map(&:name), made.learned]).to eq([["a_it-IT.txt", "a_it-IT (2).txt"], 2])
    get "/api/deliveries/#{made.id}"
    Zip::File.open_buffer(StringIO.new(response.body)) do |zip|
      expect(zip.entries.map { |entry| entry.get_input_stream.read }).to eq(%w[T T])
    end
    post "/api/projects/#{project.id}/deliveries", as: :json
    expect(finish.delivery.learned).to eq(0)
  end

  it "say of a file that it is in another language than its project, whichever was read first" do
    arabic, english = "يجب فحص الفرامل قبل كل رحلة.", "Check the brakes and the chain before you ride."
    post "/api/projects"
    project = Project.find(body["id"])
    files = { "a.txt" => english, "b.txt" => arabic,
              "c.txt" => "#{english} Ride slowly and look to the front." }
    made = files.each_with_index.map do |(name, text), at|
      document = project.documents.new(position: at + 1, name: name, byte_size: text.bytesize)
      document.original.attach(io: StringIO.new(text), filename: name, identify: false)
      document.tap(&:save!)
    end
    made.values_at(1, 0, 2).each { |document| read_now(document) }
    get "/api/projects/#{project.id}"
    expect(body["source_lang"]).to eq("en")
    expect(body["documents"].map { |one| one.values_at("source_lang", "unlike") })
      .to eq([["en", nil], %w[ar ar], ["en", nil]])
    patch "/api/projects/#{project.id}", params: { source_lang: "ar" }, as: :json
    expect(body["documents"].pluck("unlike")).to eq(["en", nil, "en"])
  end
end
