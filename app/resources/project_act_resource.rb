# An act on a project.
class ProjectActResource < ApplicationResource
  typelize kind: "ProjectActKind", facts: "ProjectActFacts", author: "string | null"

  attributes :id, :kind, :name, :facts, :created_at, :undone_at
  attribute(:author) { |act| act.user&.name }
end
