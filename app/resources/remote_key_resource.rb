# A key by which others reach a memory or termbase: what it may and how much it was used, never the key
# itself.
class RemoteKeyResource < ApplicationResource
  typelize may: "'read' | 'write'"

  attributes :id, :name, :ending, :may, :per_minute, :asked, :until_on, :used_at, :created_at
end
