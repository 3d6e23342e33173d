# A quote, in lists.
class QuoteResource < ApplicationResource
  typelize state: "QuoteState", client: "string | null", project: "string | null", figures: "QuoteFigures"
  typelize rates: "Rates"

  attributes :id,
    :number,
    :state,
    :valid_until,
    :done_at,
    :hours,
    :report_id,
    :project_id,
    :client_id,
    :rates,
    :figures,
    :created_at
  attribute(:client) { |quote| quote.client&.name }
  attribute(:project) { |quote| quote.project&.name }
end
