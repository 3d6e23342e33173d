# A whole project as one package: its records as they stand in the database, with all that belongs to them,
# and the files; opened on another Glossema with nothing missing.
module ProjectArchive
  class << self
    # The tables in the order in which they are written and read: {model => its records of a project}.
    def scopes(project)
      # What is on other servers stays there.
      memories = Memory.where(id: project.attachments.select(:memory_id)).where.missing(:remote)
      termbases = Termbase.where(id: project.attached_termbases.select(:termbase_id)).where.missing(:remote)
      {
        Client => Client.where(id: project.client_id), Memory => memories, Termbase => termbases,
        Project => Project.where(id: project.id),
        Operation => of_operations("Memory", memories).or(of_operations("Termbase", termbases))
          .or(of_operations("Project", Project.where(id: project.id))),
        TranslationUnit => TranslationUnit.where(memory: memories), **of_termbases(termbases),
        **of_text(project),
        TranslationUnitVersion => of_units(memories), **of_work(project),
        AttachedMemory => AttachedMemory.where(project: project, memory: memories),
        AttachedTermbase => AttachedTermbase.where(project: project, termbase: termbases)
      }
    end

    private

    # Those that have ended and can be looked at or undone.
    def of_operations(type, subjects)
      kinds = Operations.listed_kinds + %w[unit_learning]
      Operation.where(subject_type: type, subject_id: subjects.select(:id), kind: kinds, active: false)
        .where.not(state: Operation::UNDER_WAY)
    end

    def of_units(memories) =
      TranslationUnitVersion.where(operation_id: of_operations("Memory", memories).select(:id))

    def of_termbases(termbases)
      entries = TermEntry.where(termbase: termbases)
      operations = of_operations("Termbase", termbases).select(:id)
      { TermEntry => entries, Term => Term.where(termbase_id: termbases.select(:id)),
        TermEntryVersion => TermEntryVersion.where(entry: entries, operation_id: operations),
        TermCandidate => TermCandidate.where(termbase: termbases, operation_id: operations) }
    end

    def of_text(project)
      documents = Document.where(project: project)
      segments = Segment.where(project: project)
      { Document => documents, Segment => segments, Version => Version.where(segment: segments),
        DetachedTranslation => DetachedTranslation.where(document: documents) }
    end

    def of_work(project)
      reports = Report.where(project: project)
      deliveries, rounds = Delivery.where(project: project), ReviewRound.where(project: project)
      { Report => reports,
        Quote => Quote.where(report: reports), Delivery => deliveries,
        DeliveredFile => DeliveredFile.where(delivery: deliveries),
        IgnoredFinding => IgnoredFinding.in_project(project),
        ReviewRound => rounds, ReviewChange => ReviewChange.where(review_round: rounds),
        ReviewPassage => ReviewPassage.where(review_round: rounds), Note => Note.where(project: project),
        UserWord => UserWord.where(project: project) }
    end
  end

  # {table => its name in archives}: those that were renamed since the first archive was made.
  PARTS = {
    "translation_units" => "memory_units", "translation_unit_versions" => "memory_unit_versions",
    "detached_translations" => "kept_translations", "ignored_findings" => "let_stands",
    "user_words" => "own_words"
  }.freeze

  # {table => {column => its name in archives}}
  ARCHIVED_COLUMNS = { "clients" => { "deleted_at" => "put_away_at" },
                       "projects" => { "deleted_at" => "put_away_at" } }.freeze

  def self.with_archived_columns(table, row) = row.transform_keys(ARCHIVED_COLUMNS.fetch(table, {}))

  def self.with_todays_columns(table, row)
    return with_location(row) if table == "segments" && row.key?("path")

    row.transform_keys(ARCHIVED_COLUMNS.fetch(table, {}).invert)
  end

  # Earlier archives have the location of a segment as English text.
  def self.with_location(row)
    row.except("path").merge("location" => Glossema::Location.parse(row["path"]).to_json)
  end

  def self.part(table) = "records/#{PARTS.fetch(table, table)}.jsonl"

  # {column => table that it names}
  COLUMNS = {
    "client_id" => "clients", "memory_id" => "memories", "unit_id" => "translation_units",
    "operation_id" => "operations", "import_id" => "operations", "accepted_id" => "operations",
    "termbase_id" => "termbases", "term_entry_id" => "term_entries",
    "project_id" => "projects", "document_id" => "documents", "segment_id" => "segments",
    "delivery_id" => "deliveries", "report_id" => "reports", "review_round_id" => "review_rounds"
  }.freeze
  # Those that name records which come later, or of their own table.
  LATER = { "projects" => { "last_segment_id" => "segments" },
            "documents" => { "replaces_id" => "documents" },
            "translation_units" => { "segment_id" => "segments" } }.freeze
  # What the tags of segments begin with, and the tables of their numbers.
  TAGS = { "op" => "operations", "review" => "review_rounds" }.freeze
end
