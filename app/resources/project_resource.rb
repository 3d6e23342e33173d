# A project or brief with its files, memories and words by state.
class ProjectResource < ApplicationResource
  typelize proposed: "Proposed", client: "string | null", words: "WordsByState", memories: "AttachedMemory[]",
    documents: "Document[]", versions: "Document[]"
  typelize kind: "ProjectKind", never_used: "string[]", never_translated: "string[]",
    reference_files: "number"

  attributes :id,
    :name,
    :reference,
    :client_id,
    :subject,
    :description,
    :source_lang,
    :target_lang,
    :due_at,
    :begun_at,
    :finished_at,
    :last_segment_id,
    :proposed,
    :kind,
    :file_pattern,
    :times_fixed,
    :never_used,
    :never_translated
  # From whom it came as a hand-over.
  typelize "string | null"
  attribute(:handed_by) { |project| project.hand_over.to_h["from"] }
  # The server it came from, if that is a client’s.
  typelize "ServerOfProject | null"
  attribute(:server) do |project|
    project.server_project&.then { |one| { name: one.server.name, state: one.state, said: one.said } }
  end
  # The client's defaults for new projects.
  typelize "OnOpen | null"
  attribute(:on_open) { |project| project.client&.on_open }
  attribute(:client) { |project| project.client&.name }
  attribute(:words) { |project| project.words_by_state }
  typelize "number"
  attribute(:words_today) { |project| project.words_today }
  attribute(:memories) do |project|
    project
      .attachments
      .usable
      .includes(memory: :remote)
      .map do |row|
        {
          memory_id: row.memory_id,
          name: row.memory.name,
          source_lang: row.memory.source_lang,
          target_lang: row.memory.target_lang,
          units: row.memory.size,
          server: row.memory.remote&.facts&.fetch("server"),
          learns: row.learns,
          read_only: row.read_only,
          penalty: row.penalty,
          region_penalty: row.region_penalty
        }
      end
  end
  typelize termbases: "AttachedTermbase[]"
  attribute(:termbases) do |project|
    project.attached_termbases.usable.includes(termbase: :remote).map do |row|
      { **row.slice(:termbase_id, :adds, :checks, :read_only), name: row.termbase.name,
                                                               entries: row.termbase.size }
    end
  end
  # Of a project that is not numbered yet: the number it would get.
  typelize "string | null"
  attribute(:next_reference) { |project| project.begun? || project.template? ? nil : project.next_reference }
  attribute(:reference_files) { |project| project.reference_files.size }
  many :documents, resource: DocumentResource
  # Newer versions of files that wait to be taken in.
  many :versions, resource: DocumentResource
end
