# A termbase in a list.
class TermbaseResource < ApplicationResource
  typelize entries: "number", languages: "string[]", client: "string | null"

  # Whose it is, and what may be done with it.
  typelize owner: "string | null", right: "'own' | 'write' | 'read'"
  attribute(:owner) { |termbase| termbase.user&.name }
  attribute(:right) { |termbase| params[:access]&.right(termbase) || "own" }
  attributes :id, :name, :description, :client_id, :updated_at
  attribute(:client) { |termbase| termbase.client&.name }
  attribute(:entries) { |termbase| termbase.entries.there.count }
  attribute(:languages, &:languages)
end
