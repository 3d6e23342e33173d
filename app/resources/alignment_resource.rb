# An alignment in the list: its files, how far it is.
class AlignmentResource < ApplicationResource
  typelize state: "'waiting' | 'aligning' | 'ready' | 'failed'", counts: "AlignmentCounts",
    source_file: "string", target_file: "string", memory: "string | null", client: "string | null",
    can_undo: "boolean", can_redo: "boolean", gift: "Gift | null"

  attributes :id, :name, :subject, :source_lang, :target_lang, :state, :progress, :message, :memory_id,
    :client_id, :created_at
  attribute(:source_file) { |one| one.source_file.filename.to_s }
  attribute(:target_file) { |one| one.target_file.filename.to_s }
  attribute(:memory) { |one| one.memory&.name }
  attribute(:client) { |one| one.client&.name }
  attribute(:counts, &:counts)
  attribute(:gift, &:gift)
  attribute(:can_undo) { |one| one.edits.exists?(state: "done") }
  attribute(:can_redo) { |one| one.edits.exists?(state: "undone") }
end
