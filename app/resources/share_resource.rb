# A memory or termbase given to somebody.
class ShareResource < ApplicationResource
  typelize may: "GivenRight", state: "'offered' | 'accepted' | 'declined'"
  typelize kind: "'memory' | 'termbase'", item: "string", owner: "string", person: "string | null"
  typelize invitation: "string | null", expired: "boolean"

  attributes :id, :email, :may, :until_on, :state, :item_id
  attribute(:kind) { |share| share.item_type.downcase }
  attribute(:item) { |share| share.item.name }
  attribute(:owner) { |share| share.owner.name }
  attribute(:person) { |share| share.user&.name }
  # The end of the link for somebody without an account.
  attribute(:invitation) { |share| share.token if share.user_id.nil? }
  attribute(:expired, &:expired?)
end
