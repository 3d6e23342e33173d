# What is asked of a client in a language pair.
class RateCardResource < ApplicationResource
  typelize rates: "Rates"

  attributes :id, :client_id, :source_lang, :target_lang, :rates
end
