# A session of hers: where, since when, used when, and whether it is the one that asks.
class SignInResource < ApplicationResource
  typelize device: "string", current: "boolean"

  attributes :id, :address, :created_at, :used_at
  attribute(:device, &:device)
  attribute(:current) { |one| one.id == params[:current] }
end
