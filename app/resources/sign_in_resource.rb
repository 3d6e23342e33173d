# A session: where, since when, used when, and whether it is the current one.
class SignInResource < ApplicationResource
  typelize device: "string", current: "boolean"

  attributes :id, :address, :created_at, :used_at
  attribute(:device, &:device)
  attribute(:current) { |one| one.id == params[:current] }
end
