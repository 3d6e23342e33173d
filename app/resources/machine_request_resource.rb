# What was sent to a service, as it stands in the ledger.
class MachineRequestResource < ApplicationResource
  typelize service: "string"

  attributes :id, :client, :texts, :given, :characters, :outcome, :created_at, :currency
  typelize "string | null"
  attribute(:cost) { |request| request.cost&.to_s("F") }
  attribute(:service) { |request| request.service.name }
end
