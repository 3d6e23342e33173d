# A version in the history of a segment.
class VersionResource
  include Alba::Resource

  attributes :id, :target, :state, :origin, :created_at, :updated_at
  attribute(:author) { |version| version.user&.name }
end
