# A hand-over that came in: a look at it, and a project made of it.
class HandOver::Received
  # Raises Refused "package-kind".
  def initialize(package, name)
    @package, @name = package, name
    raise Glossema::Refused.new("package-kind", name: name) unless @package.kind == "hand-over"
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

  # Returns the project. Raises Refused "package-twice" where this user has opened it already.
  def take(user)
    known = user.projects.where(put_away_at: nil).find { |one| one.hand_over.to_h["token"] == about["token"] }
    raise Glossema::Refused.new("package-twice", name: @name, project: known.name) if known

    project = user.projects.create!(fields(user))
    documents = documents_of(project)
    lock(documents)
    furnish(project, user)
    project.reload.begin!
    fill(project, documents, user)
    project
  end

  private

  def about = @package.about

  def fields(user)
    given = about.fetch("project")
    client = given["client"].presence && user.clients.present.find_by(name: given["client"])
    { **given.slice("name", "reference", "subject", "source_lang", "target_lang", "due_at").compact,
      client: client, rules: about["rules"] && @package.part(about["rules"]).dup.force_encoding("UTF-8"),
      description: [about["task"], about["instructions"]].compact_blank.join("\n\n") }
  end

  # Where one of the files cannot be read, nothing is kept.
  def documents_of(project)
    about["files"].each_with_index.map { |file, index| document(project, file, index + 1) }
  rescue Glossema::Refused
    project.reload.destroy!
    raise
  end

  # Cut just as it is with the sender.
  def document(project, file, position)
    bytes = @package.part(file["original"])
    made = project.documents.new(position: position, name: file["name"], byte_size: bytes.bytesize,
      checksum: Digest::SHA256.hexdigest(bytes), run: "hand-over", by: file["by"], options: file["options"],
      breaks: file["breaks"], hand: file["hand"])
    made.original.attach(io: StringIO.new(bytes), filename: file["name"], identify: false)
    made.save!
    ReadDocumentJob.perform_now(made, "hand-over")
    made.reload
    raise Glossema::Refused.new("package-unreadable", name: @name, file: file["name"]) unless made.ready?

    made
  end

  # What is not in the share is there to be read only.
  def lock(documents)
    documents.zip(about["files"]) do |document, file|
      context = file["context"].to_h.keys
      next if context.empty?

      document.segments.where(key: context).update_all(locked: true)
      counts = document.segments.reload.reject(&:locked).map do |segment|
        Glossema::Counting::Count.of(segment.source_content)
      end
      document.update!(facts: document.facts.merge(document.facts_of(counts)))
    end
  end

  def furnish(project, user)
    rows = about["memories"].map { |given| { "memory_id" => memory(given, user).id, "learns" => "never" } }
    project.attach(rows) if rows.any?
    lists = about["termbases"].map do |given|
      { "termbase_id" => termbase(given, user).id, "checks" => given["checks"] }
    end
    project.attach_termbases(lists) if lists.any?
    about["reference"].each do |path|
      project.reference_files.attach(io: StringIO.new(@package.part(path)), filename: File.basename(path))
    end
  end

  def named(given) = "#{given["name"]} (#{about["from"]})"

  def memory(given, user)
    memory = user.memories.create!(name: named(given), **given.slice("source_lang", "target_lang"))
    change = memory.acts.new(user: user, kind: "import", state: "waiting",
      total: @package.part(given["path"]).bytesize,
      options: { "file" => File.basename(given["path"]), "different" => "both" })
    change.file.attach(io: StringIO.new(@package.part(given["path"])), filename: File.basename(given["path"]),
      identify: false)
    change.save!
    ImportUnitsJob.perform_later(change)
    memory
  end

  def termbase(given, user)
    termbase = user.termbases.create!(name: named(given))
    Termbase::Import.begin(termbase, @package.part(given["path"]), File.basename(given["path"]), by: user)
    termbase
  end

  # What was translated already, and by which ids the sender knows each segment.
  def fill(project, documents, user)
    ids = documents.zip(about["files"]).to_h do |document, file|
      translated(document, file, user)
      [document.id, file["keys"]]
    end
    project.update!(hand_over: { "token" => about["token"], "from" => about["from"], "to" => about["to"],
                                 "task" => about["task"], "instructions" => about["instructions"],
                                 "ids" => ids })
  end

  def translated(document, file, user)
    rows = Glossema::Review::Bilingual.new(@package.part(file["text"]), @name).rows.index_by(&:id)
    keys = file["keys"].merge(file["context"].to_h)
    document.segments.reload.each do |segment|
      row = rows[keys[segment.key].to_s] or next
      written = Glossema::Review::CodeMarks.written(row.raw, segment.source_content)
      next if written.empty?

      segment.update!(target: written, state: row.state == "initial" ? "draft" : "translated",
        origin: { "kind" => "file" }, version: segment.version + 1)
      segment.remember(user) unless segment.locked
    end
  end
end
