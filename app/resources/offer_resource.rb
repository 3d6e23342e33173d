# A project that a client's server offers.
class OfferResource < ApplicationResource
  typelize_from ServerProject

  typelize name: "string", reference: "string", source_lang: "string", target_lang: "string",
    due_at: "string | null", words: "number", instructions: "string", files: "string[]", server: "string",
    client: "string"

  attributes :id
  %w[name reference source_lang target_lang due_at words instructions].each do |name|
    attribute(name) { |offer| offer.facts[name] }
  end
  attribute(:files) { |offer| offer.facts["files"].pluck("name") }
  attribute(:server) { |offer| offer.server.name }
  attribute(:client) { |offer| offer.client.name }
end
