# A hand-over that came in: a look at it, and a project made of it.
class HandOver::Received
  include Glossema::DataShape

  IDS = Each.new(:any)
  FILE = Whole.new({ "name" => :text, "original" => :text, "text" => :text, "by" => :text,
                     "options" => :object, "breaks" => Each.new([:integer]), "words" => :integer,
                     "keys" => IDS })
  STOCK = { "name" => :text, "origin" => Maybe.new(:text), "path" => :text }.freeze
  ABOUT = Whole.new({
    "token" => :text, "from" => :text, "to" => Maybe.new(:text), "task" => Maybe.new(:text),
    "instructions" => Maybe.new(:text), "rules" => Maybe.new(:text), "reference" => [:text],
    "project" => Each.new(Maybe.new(:text)), "files" => [FILE], "memories" => [Whole.new(STOCK)],
    "termbases" => [Whole.new(STOCK)]
  })

  # Raises Refused "package-kind", "package-damaged".
  def initialize(package, name)
    @package, @name = package, name
    raise Glossema::Refused.new("package-kind", name: name) unless @package.kind == "hand-over"
    raise Glossema::Refused.new("package-damaged", name: name) unless Glossema::DataShape.fits?(ABOUT, about)
  end

  # What is in it, before anything is made.
  def look
    project = about.fetch("project")
    { from: about["from"], to: about["to"], task: about["task"], instructions: about["instructions"],
      **project.slice("name", "reference", "client", "due_at", "source_lang", "target_lang").symbolize_keys,
      files: about["files"].map { |file| file.slice("name", "words") },
      words: about["files"].sum { |file| file["words"] }, archive: false,
      segments: about["files"].sum { |file| file["keys"].size },
      memories: about["memories"].pluck("name"), termbases: about["termbases"].pluck("name") }
  end

  # To be opened as part of an operation, see Operations::PackageImport. Raises Refused "package-twice" where
  # this user has opened it already.
  def opening(operation)
    @operation, @user = operation, operation.user
    known = @user.projects.find { |one| one.hand_over.to_h["token"] == about["token"] }
    raise Glossema::Refused.new("package-twice", name: @name, project: known.name) if known

    self
  end

  attr_reader :project

  # Makes all of it, out of sight.
  def run
    @project = @operation.making { @user.all_projects.create!(**fields, **Staging::HIDDEN) }
    @documents = documents
    lock(@documents)
    @operation.enter("memories")
    furnish
    fill
  end

  # All of it is there. A memory or termbase that an earlier package brought gets what this one brings.
  def reveal
    [*@memories, *@termbases].each do |record|
      name = @user.free_name(record.class.name.downcase, record.name)
      Staging.reveal(record, at: known(record) && Time.current, name: name)
    end
    Staging.reveal(@project)
    @project.attachments.includes(:memory).find_each { |row| join(row, :memory) }
    @project.attached_termbases.includes(:termbase).find_each { |row| join(row, :termbase) }
    @project.reload.begin!
  end

  # Units and entries go where they belong once all of it is seen.
  def follow_up
    @memories.select { |memory| known(memory) }.each do |memory|
      Operations::MemoryMerge.start(known(memory), by: @user, input: { "from" => memory.id })
    end
    @termbases.zip(about["termbases"]).each do |termbase, given|
      known(termbase) && take_in(known(termbase), given)
    end
  end

  private

  def about = @package.about

  def fields
    given = about.fetch("project")
    client = given["client"].presence && @user.clients.present.find_by(name: given["client"])
    kept = given.slice("name", "reference", "subject", "source_lang", "target_lang", "due_at").compact
    rules = about["rules"] && @package.part(about["rules"]).dup.force_encoding("UTF-8")
    description = [about["task"], about["instructions"]].compact_blank.join("\n\n")
    { **kept.symbolize_keys, client: client, rules: rules, description: description }
  end

  def documents
    @operation.enter("files", total: about["files"].size)
    about["files"].each_with_index.map do |file, index|
      @operation.progress(index)
      document(file, index + 1)
    end
  end

  # Cut just as it is with the sender.
  def document(file, position)
    bytes = @package.part(file["original"])
    made = @project.documents.new(position: position, name: file["name"], byte_size: bytes.bytesize,
      checksum: Digest::SHA256.hexdigest(bytes), by: file["by"], options: file["options"],
      breaks: file["breaks"], hand: file["hand"])
    made.original.attach(io: StringIO.new(bytes), filename: file["name"], identify: false)
    made.save!
    Document::Reading.new(made, @operation).run
    made.reload
  rescue Glossema::Refused
    raise Glossema::Refused.new("package-unreadable", name: @name, file: file["name"])
  end

  # What is not in the share is there to be read only.
  def lock(documents)
    documents.zip(about["files"]) do |document, file|
      context = file["context"].to_h.keys
      next if context.empty?

      document.segments.where(key: context).update_all(locked: true)
      counts = document.segments.reload.reject(&:locked).map do |segment|
        Glossema::Counting::Count.count(segment.source_content)
      end
      document.update!(facts: document.facts.merge(document.facts_of(counts)))
    end
  end

  def furnish
    @memories = about["memories"].map { |given| memory(given) }
    @memories.each_with_index do |memory, index|
      @project.attachments.create!(memory: memory, position: index + 1, learns: "never")
    end
    @termbases = about["termbases"].map { |given| termbase(given) }
    @termbases.zip(about["termbases"]).each_with_index do |(termbase, given), index|
      @project.attached_termbases.create!(termbase: termbase, position: index + 1, checks: given["checks"])
    end
    about["reference"].each do |path|
      @project.reference_files.attach(io: StringIO.new(@package.part(path)), filename: File.basename(path))
    end
  end

  # What an earlier package of the same origin brought, in the same languages; or nil.
  def known(record)
    @known ||= {}
    @known.fetch(record.id) do
      earlier = record.class.present.where(user: @user).where.not(id: record.id)
      earlier = earlier.where(record.slice("source_lang", "target_lang")) if record.is_a?(Memory)
      @known[record.id] = record.origin.presence && earlier.find_by(origin: record.origin)
    end
  end

  def join(row, kind)
    earlier = known(row.public_send(kind)) or return
    row.update!(kind => earlier)
  end

  def take_in(termbase, given)
    name = File.basename(given["path"])
    Operations::TermImport.start(termbase, by: @user, summary: name, input: { "file" => name, "way" => "id" },
      files: [{ io: StringIO.new(@package.part(given["path"])), filename: name }])
  end

  def named(given) = "#{given["name"]} (#{about["from"]})"

  def memory(given)
    memory = @operation.making do
      @user.memories.create!(name: @user.free_name("memory", named(given)), **Staging::HIDDEN,
        **given.slice("source_lang", "target_lang", "origin"))
    end
    import(Operations::UnitImport, memory, given, "different" => "both")
    memory
  end

  def termbase(given)
    termbase = @operation.making do
      @user.termbases.create!(name: @user.free_name("termbase", named(given)), origin: given["origin"],
        **Staging::HIDDEN)
    end
    import(Operations::TermImport, termbase, given, "way" => "id")
    termbase
  end

  # The file of a memory or termbase, as a part of the operation.
  def import(kind, into, given, input)
    name, bytes = File.basename(given["path"]), @package.part(given["path"])
    import = kind.new(subject: into, user: @user, weight: "bulk", summary: name,
      input: { "file" => name, **input })
    import.files.attach(io: StringIO.new(bytes), filename: name, identify: false)
    import.save!
    import.run_within(@operation)
  end

  # What was translated already, and by which ids the sender knows each segment.
  def fill
    ids = @documents.zip(about["files"]).to_h do |document, file|
      translated(document, file)
      [document.id, file["keys"]]
    end
    @project.update!(hand_over: { "token" => about["token"], "from" => about["from"], "to" => about["to"],
                                  "task" => about["task"], "instructions" => about["instructions"],
                                  "ids" => ids })
  end

  def translated(document, file)
    rows = Glossema::Review::Bilingual.new(@package.part(file["text"]), @name).rows.index_by(&:id)
    keys = file["keys"].merge(file["context"].to_h)
    ShortTransaction.each(document.segments.reload.to_a) { |segment|
      translate(segment, rows[keys[segment.key].to_s])
    }
  end

  def translate(segment, row)
    @operation.checkpoint
    written = row && Glossema::Review::CodeMarks.written(row.raw, segment.source_content)
    return if written.blank?

    segment.update!(target: written, state: row.state == "initial" ? "draft" : "translated",
      origin: { "kind" => "file" }, version: segment.version + 1)
    segment.remember(@user) unless segment.locked
  end
end
