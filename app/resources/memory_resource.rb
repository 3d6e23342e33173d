# A memory, its size, and what is being done to it.
class MemoryResource < ApplicationResource
  typelize units: "number", projects: "number", busy: "Operation[]"

  # Whose it is, and what may be done with it.
  typelize owner: "string | null", right: "ShareRight"
  attribute(:owner) { |memory| memory.user&.name }
  attribute(:right) { |memory| params[:access]&.right(memory) || "own" }
  attributes :id, :name, :description, :source_lang, :target_lang, :updated_at, :used_at
  attribute(:units, &:size)
  # Where it is, if it is on another server.
  typelize remote: "RemoteSource | null"
  attribute(:remote) { |memory| memory.remote && RemoteSourceResource.new(memory.remote).to_h }
  attribute(:projects) do |memory|
    memory.attachments.joins(:project).where.not(projects: { begun_at: nil }).count
  end
  attribute(:busy) do |memory|
    OperationResource.new(memory.operations.listed.under_way.order(:id).to_a).to_h
  end
end
