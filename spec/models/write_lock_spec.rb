# No operation keeps others from writing: on a project of 500 segments none holds the write lock for long.
RSpec.describe "The write lock" do
  include LockTimes

  # Seconds. It is meant to be 0.05; specs run on busy machines, and without what makes Ruby fast.
  LONGEST = 0.2
  SEGMENTS = 500

  let(:user) { make_user }
  let(:memory) { make_memory(user, [["Load.", "Caricare."]]) }
  let(:project) do
    made = make_project(user, text, name: "manual.txt",
      memories: [{ "memory_id" => memory.id, "learns" => "deliver" }])
    translate(made)
    made
  end
  let(:document) { project.documents.first }

  def text(every: nil)
    Array.new(SEGMENTS) { |n|
      "The wheel number #{n} has to be checked#{" today" if every && (n % every).zero?}."
    }
      .join("\n")
  end

  # As if they had been confirmed a while ago.
  def translate(project)
    project.segments.find_each do |segment|
      segment.update_columns(target: "La ruota  #{segment.position} va controllata.", state: "translated",
        origin: { "kind" => "typed" }, confirmed_at: 1.hour.ago)
      segment.versions.create!(user: user, target: segment.target, state: "translated",
        origin: { "kind" => "typed" })
    end
  end

  def tmx(count)
    pairs = Array.new(count) do |n|
      Glossema::Exchange::Tmx::Pair.new(source: "Check the wheel number #{n}.", target: "Controllare #{n}.",
        attributes: { "client" => "Client #{n % 2}" })
    end
    (+"").tap { |out| Glossema::Exchange::Tmx.write(out, pairs, source_lang: "en-GB", target_lang: "it-IT") }
  end

  def held_by(name, &)
    # The garbage of a whole test run is not collected while the lock is held.
    GC.start
    GC.disable
    held = longest_lock(&)
    GC.enable
    expect(held.seconds).to be < LONGEST,
      "#{name} held it for #{(held.seconds * 1000).round} ms: #{held.what}"
  end

  # A server has all of its code in memory; what is done for the first time does more than that.
  before do
    Rails.application.eager_load!
    small = make_project(user, "The first wheel.\nThe second wheel.", name: "small.txt", memories: [
      { "memory_id" => memory.id, "learns" => "deliver" }
    ])
    small.segments.each { |one| one.confirm("La ruota  qui.", origin: { "kind" => "typed" }, by: user) }
    run(Operations::Delivery, small, input: { "document_ids" => small.documents.ids })
    archive = run(Operations::ArchiveExport, small).reload.output.download
    opened = run(Operations::PackageImport, user, files: [{ io: StringIO.new(archive), filename: "a.zip" }])
    Project.find(opened.reload.result["project_id"]).purge
  end

  def run(kind, subject = project, **attributes)
    kind.perform_now(subject, by: user, **attributes)
  end

  it "is held for moments by what is done to memories" do
    import = nil
    held_by("an import") { import = import_now(memory, StringIO.new(tmx(2000))) }
    held_by("a bulk edit") do
      run(Operations::UnitBulkEdit, memory,
        input: { "chosen" => { "search" => {} }, "set" => { "subject" => "x" } })
    end
    part = user.memories.create!(name: "Part", source_lang: "en-GB", target_lang: "it-IT")
    split = nil
    held_by("a split") do
      split = run(Operations::MemorySplit, part,
        input: { "from" => memory.id, "field" => "client", "value" => "Client 1" })
    end
    held_by("undoing the split") {
      split.reload.tap { |one|
        one.update!(state: "queued", undoing: true)
      }.run_within(nil)
    }
    held_by("deleting units") do
      run(Operations::UnitDeletion, memory, input: { "chosen" => { "search" => { "client" => "Client 0" } } })
    end
    held_by("undoing the import") do
      import.reload.tap { |one| one.update!(state: "queued", undoing: true) }.run_within(nil)
    end
    expect(memory.units.where(client: "Client 1")).to be_empty
  end

  it "is held for moments by what is done to a text" do
    ids = project.segments.ids
    asked = { "find" => "ruota", "with" => "rotella", "regex" => false, "cased" => false, "words" => false }
    replaced = nil
    held_by("a replacement") do
      replaced = run(Operations::Replacement,
        input: { "asked" => asked, "side" => "target", "ids" => ids.first(200), "confirmed" => "stay" })
    end
    expect(replaced.reload.result["count"]).to eq(200)
    held_by("undoing it") {
      replaced.tap { |one|
        one.update!(state: "queued", undoing: true)
      }.run_within(nil)
    }
    held_by("a run of the checks") { run(Operations::CheckRun, total: SEGMENTS) }
    held_by("a count") { run(Operations::ProjectCount) }
    held_by("a delivery") { run(Operations::Delivery, input: { "document_ids" => [document.id] }) }
    expect(memory.units.count).to be > SEGMENTS
    held_by("a change of the rules") do
      project.update!(rules: Glossema::Segmentation::Srx.default.excepting("en-GB", "wheel").xml)
      run(Operations::RulesChange, before: { "rules" => nil })
    end
    segment = document.reload.segments.offset(250).first
    held_by("a split by hand") { document.split(segment, 10, by: user) }
    held_by("a new version") do
      file = Tempfile.new("b.txt").tap { |io| io.write(text(every: 10)) && io.rewind }
      upload = ActionDispatch::Http::UploadedFile.new(tempfile: file, filename: "b.txt", type: "text/plain")
      pending = document.reload.propose_version(upload, "b.txt")
      run(Operations::FileComparison, input: { "document_id" => pending.id })
      run(Operations::FileRevision, input: { "document_id" => pending.id })
    end
  end

  it "is held for moments by what leaves and comes back" do
    sheet = nil
    held_by("a review sheet") { sheet = send_sheet(project) }
    bytes = sheet.sheet.download
    changed = Zip::OutputStream.write_buffer { |out|
      Zip::File.open_buffer(StringIO.new(bytes)).each do |entry|
        content = entry.get_input_stream.read
        out.put_next_entry(entry.name)
        out.write(entry.name == "word/document.xml" ? content.gsub("va controllata",
          "va verificata") : content)
      end
    }.string
    held_by("its return") do
      run(Operations::ReviewReturn, files: [{ io: StringIO.new(changed), filename: "back.docx" }])
    end
    expect(sheet.reload.corrections.count).to eq(SEGMENTS)
    held_by("accepting its changes") do
      run(Operations::ReviewDecision, total: 100, input: { "round_id" => sheet.id, "decision" => "taken",
                                                           "ids" => sheet.corrections.limit(100).ids })
    end
    archive = nil
    held_by("an archive") { archive = run(Operations::ArchiveExport).reload.output.download }
    held_by("opening it") do
      run(Operations::PackageImport, user, files: [{ io: StringIO.new(archive), filename: "a.zip" }])
    end
    expect(user.projects.count).to eq(3)
  end
end
