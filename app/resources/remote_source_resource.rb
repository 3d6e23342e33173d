# Where a memory or termbase on another server is, and what that server said of it. The key is never told.
class RemoteSourceResource < ApplicationResource
  typelize server: "string", size: "number", may: "'read' | 'write'", has_key: "boolean",
    penalty: "number", waiting: "number", refused: "string | null"

  attributes :id, :address, :ref, :writes, :tested_at
  attribute(:server) { |source| source.facts["server"] }
  attribute(:size) { |source| source.facts["size"] }
  attribute(:may) { |source| source.facts["may"] }
  attribute(:has_key) { |source| source.key.present? }
  # Points off its matches where it is put to a project.
  attribute(:penalty) { RemoteSource::PENALTY }
  # How many units are still to be sent, and why some were not accepted.
  attribute(:waiting) { |source| source.outgoing_requests.where(state: %w[waiting going]).count }
  attribute(:refused) { |source| source.outgoing_requests.refused.last&.trouble }
end
