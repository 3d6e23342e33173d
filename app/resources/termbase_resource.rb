# A termbase in a list.
class TermbaseResource < ApplicationResource
  typelize entries: "number", languages: "string[]", client: "string | null"

  attributes :id, :name, :description, :client_id, :updated_at
  attribute(:client) { |termbase| termbase.client&.name }
  attribute(:entries) { |termbase| termbase.entries.there.count }
  attribute(:languages, &:languages)
end
