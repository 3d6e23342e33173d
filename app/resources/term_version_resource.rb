# How an entry was before a change.
class TermVersionResource < ApplicationResource
  typelize_from TermEntryVersion
  typelize kind: "OperationKind", author: "string | null", at: "string", sections: "TermSection[]"
  typelize definition: "string | null", subject: "string | null", note: "string | null"

  attributes :id
  attribute(:kind) { |version| version.operation.kind }
  attribute(:author) { |version| version.operation.user&.name }
  attribute(:at) { |version| version.operation.created_at }
  %w[definition subject note].each { |name| attribute(name) { |version| version.data[name] } }
  attribute(:sections) { |version| version.data["sections"] }
end
