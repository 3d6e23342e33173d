# One of everything that somebody can own, and the numbers by which addresses name it: by the name of the
# parameter or, for "id", by the controller.
require_relative "making"

class Everything
  include Making
  include Files

  attr_reader :owner

  def initialize(owner)
    @owner = owner
  end

  def memory = @memory ||= make_memory(owner, [["a b", "c d"]])
  def termbase = @termbase ||= owner.termbases.create!(name: "Terms")
  def project = @project ||= make_project(owner, memories: [{ "memory_id" => memory.id }])

  def numbers
    @numbers ||= { **of_work, **of_memories, **of_counts, **of_terms, **of_reviews, **of_others }
  end

  private

  def delivery = @delivery ||= deliver(project, by: owner)

  def of_work
    segment, document = project.segments.first, project.documents.first
    away = TrashItem.note(owner, "project", name: "Gone", record: project)
    {
      "project_id" => project.id, "document_id" => document.id, "segment_id" => segment.id,
      "projects" => project.id, "documents" => document.id, "segments" => segment.id,
      "deliveries" => delivery.id, "delivery_id" => delivery.id, "delivered_files" => delivery.files.first.id,
      "trash_items" => away.id,
      "notes" => Note.add(segment, "x", by: owner).id,
      "ignored_findings" =>
        IgnoredFinding.create!(project: project, author: "x", code: "end-mark", digest: "x").id,
      "machine_services" => owner.machine_services.create!(
        name: "x", address: "http://x.example", **Machine::TEMPLATES["lists"]
      ).id
    }
  end

  def of_memories
    share = Share.give(memory, email: "x@y.example", may: "view", by: owner)
    { "memory_id" => memory.id, "memories" => memory.id, "translation_units" => memory.units.first.id,
      "shares" => share.id, **of_operations }
  end

  # Of a memory, with a file that it made.
  def of_operations
    operation = Operations::MemoryExport.record(memory, by: owner)
    operation.output.attach(io: StringIO.new("x"), filename: "x.tmx", identify: false)
    { "operations" => operation.id, "operation_id" => operation.id,
      "pending_answers" => OutsideWork.begin(owner) { {} }.id }
  end

  def of_reviews
    round = project.review_rounds.create!(number: 1, reviser: "x", token: "x", way: "inside")
    remark = Note.remark(round, project.segments.first, { "error_type" => "style", "severity" => "minor" },
      by: owner)
    made = owner.alignments.create!(name: "x", source_lang: "en", target_lang: "it")
    { "review_rounds" => round.id, "review_round_id" => round.id, "remarks" => remark.id,
      "passages" => project.segments.first.id, "alignments" => made.id, "alignment_id" => made.id }
  end

  def of_counts
    client = owner.clients.create!(name: "Pell & Rook Ceramics")
    card = owner.rate_cards.create!(client: client, source_lang: "en", target_lang: "it",
      rates: { "currency" => "EUR", "rate" => "0.1" })
    project.reference_files.attach(io: StringIO.new("x"), filename: "x.txt")
    report = project.reports.first || Report.open_for(project, memories: [], made: "hand")
    count_now(report)
    quote = Quote.keep(report.reload, rates: card.rates, shown: "2.80")
    {
      "clients" => client.id, "client_id" => client.id, "rate_cards" => card.id, "reports" => report.id,
      "quotes" => quote.id, "reference_files" => project.reference_files.first.id,
      "quick_counts" => owner.all_projects.create!(kind: "quick").id
    }
  end

  def of_terms
    record = nil
    data = { "sections" => [{ "lang" => "en", "terms" => [{ "text" => "rim" }] }] }
    made = termbase.record_change(Operations::TermAddition) do |recorder|
      record = recorder.add(Glossema::Terms::Entry.from_data(data))
    end
    record.image.attach(io: StringIO.new("\x89PNG\r\n"), filename: "rim.png", content_type: "image/png",
      identify: false)
    candidate = termbase.candidates.create!(operation: made, lang: "en", text: "rim", folded: "rim", count: 2,
      score: 1)
    { "termbases" => termbase.id, "termbase_id" => termbase.id, "term_entries" => record.id,
      "term_entry_id" => record.id, "term_candidates" => candidate.id }
  end

  # What is on other servers, and where she is signed in.
  def of_others
    far = owner.memories.create!(name: "Far", source_lang: "en", target_lang: "it")
    source = RemoteSource.create!(item: far, user: owner, address: "http://127.0.0.1:9", ref: "x",
      facts: { "server" => "x", "name" => "x", "languages" => %w[en it], "size" => 1, "may" => "read" })
    server = owner.client_servers
      .create!(client: owner.clients.first, name: "x", address: "http://127.0.0.1:9")
    offer = server.projects.create!(ref: "x", facts: { "files" => [] })
    { "remote_sources" => source.id, "remote_source_id" => source.id, "client_servers" => server.id,
      "offers" => offer.id, "remote_keys" => RemoteKey.make(memory, by: owner, name: "x").first.id,
      "sign_ins" => SignIn.create!(user: owner, token: "x", used_at: Time.current).id }
  end
end
