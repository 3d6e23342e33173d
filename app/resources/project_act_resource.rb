# An act on a project.
class ProjectActResource
  include Alba::Resource

  attributes :id, :kind, :name, :facts, :created_at, :undone_at
  attribute(:author) { |act| act.user&.name }
end
