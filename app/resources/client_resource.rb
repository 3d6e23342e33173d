# A client.
class ClientResource
  include Alba::Resource

  attributes :id, :name, :code
end
