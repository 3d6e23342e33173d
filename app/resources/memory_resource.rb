# A memory and its size.
class MemoryResource
  include Alba::Resource

  attributes :id, :name, :description, :source_lang, :target_lang, :updated_at
  attribute(:units) { |memory| memory.units.count }
end
