# A service of machine translation; of its key only whether there is one.
class MachineServiceResource < ApplicationResource
  typelize languages: "string[]", headers: "Record<string, string>", has_key: "boolean"

  attributes :id, :name, :address, :http_method, :headers, :request, :answer, :batch, :markup, :instructions,
    :active, :languages, :currency
  typelize "string | null"
  attribute(:price) { |service| service.price&.to_s("F") }
  attribute(:has_key) { |service| service.key.present? }
end
