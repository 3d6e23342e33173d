# A termbase in a list.
class TermbaseResource < ApplicationResource
  typelize entries: "number", languages: "string[]", client: "string | null"

  # Whose it is, and what may be done with it.
  typelize owner: "string | null", right: "ShareRight"
  attribute(:owner) { |termbase| termbase.user&.name }
  attribute(:right) { |termbase| params[:access]&.right(termbase) || "own" }
  attributes :id, :name, :description, :client_id, :updated_at
  attribute(:client) { |termbase| termbase.client&.name }
  attribute(:entries, &:size)
  attribute(:languages, &:languages)
  # Where it is, if it is on another server.
  typelize remote: "RemoteSource | null"
  attribute(:remote) { |one| one.remote && RemoteSourceResource.new(one.remote).to_h }
end
