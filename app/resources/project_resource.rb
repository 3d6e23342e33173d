# A project or brief with its files, memories and words by state.
class ProjectResource
  include Alba::Resource

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
    :last_segment_id,
    :proposed
  attribute(:client) { |project| project.client&.name }
  attribute(:words) { |project| project.words_by_state }
  attribute(:memories) do |project|
    project
      .attachments
      .usable
      .includes(:memory)
      .map do |row|
        {
          memory_id: row.memory_id,
          name: row.memory.name,
          source_lang: row.memory.source_lang,
          target_lang: row.memory.target_lang,
          units: row.memory.units.count,
          learns: row.learns,
          read_only: row.read_only,
          penalty: row.penalty
        }
      end
  end
  many :documents, resource: DocumentResource
  # Newer versions of files that wait to be taken in.
  many :versions, resource: DocumentResource
end
