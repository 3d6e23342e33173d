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
        Client => Client.where(id: project.client_id), **of_memories(memories), **of_termbases(termbases),
        Project => Project.where(id: project.id), **of_text(project), **of_work(project),
        AttachedMemory => AttachedMemory.where(project: project, memory: memories),
        AttachedTermbase => AttachedTermbase.where(project: project, termbase: termbases)
      }
    end

    private

    def of_memories(memories)
      changes = MemoryChange.where(memory: memories)
      { Memory => memories, MemoryChange => changes, MemoryUnit => MemoryUnit.where(memory: memories),
        MemoryUnitVersion => MemoryUnitVersion.where(change_id: changes.select(:id)) }
    end

    def of_termbases(termbases)
      entries = TermEntry.where(termbase: termbases)
      { Termbase => termbases, TermEntry => entries, Term => Term.where(termbase_id: termbases.select(:id)),
        TermbaseAct => TermbaseAct.where(termbase: termbases),
        TermEntryVersion => TermEntryVersion.where(entry: entries),
        TermCandidate => TermCandidate.where(termbase: termbases) }
    end

    def of_text(project)
      documents = Document.where(project: project)
      segments = Segment.where(project: project)
      { Document => documents, Segment => segments, Version => Version.where(segment: segments),
        KeptTranslation => KeptTranslation.where(document: documents) }
    end

    def of_work(project)
      reports = Report.where(project: project)
      deliveries, rounds = Delivery.where(project: project), ReviewRound.where(project: project)
      { ProjectAct => ProjectAct.where(project: project), Report => reports,
        Quote => Quote.where(report: reports), Delivery => deliveries,
        DeliveredFile => DeliveredFile.where(delivery: deliveries), LetStand => LetStand.of(project),
        ReviewRound => rounds, ReviewChange => ReviewChange.where(review_round: rounds),
        ReviewPassage => ReviewPassage.where(review_round: rounds), Note => Note.where(project: project),
        OwnWord => OwnWord.where(project: project) }
    end
  end

  # {column => table that it names}
  COLUMNS = {
    "client_id" => "clients", "memory_id" => "memories", "unit_id" => "memory_units",
    "change_id" => "memory_changes", "import_id" => "memory_changes", "termbase_id" => "termbases",
    "term_entry_id" => "term_entries", "accepted_id" => "termbase_acts", "termbase_act_id" => "termbase_acts",
    "project_id" => "projects", "document_id" => "documents", "segment_id" => "segments",
    "delivery_id" => "deliveries", "report_id" => "reports", "review_round_id" => "review_rounds"
  }.freeze
  # Those that name records which come later, or of their own table.
  LATER = { "projects" => { "last_segment_id" => "segments" },
            "documents" => { "replaces_id" => "documents" },
            "memory_units" => { "segment_id" => "segments" } }.freeze
  # What the tags of acts begin with, and the tables of their numbers.
  TAGS = { "fixed" => "project_acts", "unified" => "project_acts", "replaced" => "project_acts",
           "ahead" => "project_acts", "review" => "review_rounds" }.freeze
end
