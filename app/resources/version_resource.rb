# A version in the history of a segment.
class VersionResource < ApplicationResource
  typelize state: "State", origin: "Origin", author: "string | null"

  attributes :id, :target, :state, :origin, :created_at, :updated_at
  attribute(:author) { |version| version.origin["author"] || version.user&.name }
end
