# A note or a question, with where it stands.
class NoteResource < ApplicationResource
  typelize kind: "'note' | 'question' | 'remark'", number: "number | null", target: "string | null",
    file: "string | null", severity: "Severity | null", spot: "Spot | null"

  attributes :id, :segment_id, :document_id, :author, :kind, :text, :answer, :answered_by, :answered_at,
    :settled_at, :source, :created_at, :updated_at, :review_round_id, :error_type, :severity, :spot
  attribute(:number) { |note| note.segment&.position }
  attribute(:target) { |note| note.segment && note.segment.target_content.text }
  attribute(:file) { |note| note.document&.name }
end
