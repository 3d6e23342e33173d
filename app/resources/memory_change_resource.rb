# An act on a memory, with how far it is.
class MemoryChangeResource < ApplicationResource
  typelize kind: "MemoryChangeKind", state: "WorkState", facts: "MemoryChangeFacts", left: "number | null",
    author: "string | null", file: "string | null"

  attributes :id, :kind, :summary, :state, :done, :total, :created_at, :undone_at
  attribute(:facts) do |change|
    change.facts.slice("read", "added", "same", "updated", "skipped", "faults", "faulty", "message")
  end
  attribute(:left, &:left)
  attribute(:author) { |change| change.user&.name }
  attribute(:file) { |change| change.options["file"] }
end
