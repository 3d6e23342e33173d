# A memory, its size, and what is being done to it.
class MemoryResource < ApplicationResource
  typelize units: "number", projects: "number", busy: "MemoryChange[]"

  attributes :id, :name, :description, :source_lang, :target_lang, :updated_at, :used_at
  attribute(:units) { |memory| memory.units.count }
  attribute(:projects) do |memory|
    memory.attachments.joins(:project).where.not(projects: { begun_at: nil }).count
  end
  attribute(:busy) do |memory|
    memory
      .acts
      .where(state: %w[waiting running undoing])
      .order(:id)
      .map { |act| MemoryChangeResource.new(act).to_h }
  end
end
