# How an entry was before a change.
class TermVersionResource < ApplicationResource
  typelize_from TermEntryVersion
  typelize kind: "TermbaseActKind", author: "string | null", at: "string", sections: "TermSection[]"
  typelize definition: "string | null", subject: "string | null", note: "string | null"

  attributes :id
  attribute(:kind) { |version| version.act.kind }
  attribute(:author) { |version| version.act.user&.name }
  attribute(:at) { |version| version.act.created_at }
  %w[definition subject note].each { |name| attribute(name) { |version| version.data[name] } }
  attribute(:sections) { |version| version.data["sections"] }
end
