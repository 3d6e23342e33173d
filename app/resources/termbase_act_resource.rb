# An act on a termbase.
class TermbaseActResource < ApplicationResource
  typelize kind: "TermbaseActKind", author: "string | null", facts: "TermImportFacts"

  attributes :id, :kind, :summary, :count, :created_at, :undone_at
  attribute(:facts, &:facts)
  attribute(:author) { |act| act.user&.name }
end
