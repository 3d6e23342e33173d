# Who is signed in.
class UserResource < ApplicationResource
  typelize preferences: "Preferences", working: "Working"

  attributes :id,
    :name,
    :email,
    :words_per_hour,
    :reference_pattern,
    :quote_pattern,
    :address,
    :working,
    :remind_at,
    :time_zone,
    :preferences

  typelize owner: "boolean"
  attribute(:owner, &:owner?)
end
