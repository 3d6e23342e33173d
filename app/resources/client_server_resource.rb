# The server of a client. The key is never told.
class ClientServerResource < ApplicationResource
  attributes :id, :client_id, :name, :address, :asked_at, :trouble
end
