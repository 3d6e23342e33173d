# A client, in lists.
class ClientResource < ApplicationResource
  attributes :id, :name, :code
end
