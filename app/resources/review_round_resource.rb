# A round of review, and how far its changes are decided.
class ReviewRoundResource < ApplicationResource
  typelize state: "RoundState", counts: "Record<Decision, number>", sent: "number", sheet: "string"

  attributes :id, :number, :reviser, :state, :created_at, :back_at, :closed_at
  attribute(:sent) { |round| round.base.size }
  attribute(:sheet) { |round| round.sheet.filename.to_s }
  attribute(:counts) do |round|
    counted = round.corrections.group(:decision).count
    ReviewChange::DECISIONS.to_h { |decision| [decision, counted.fetch(decision, 0)] }
  end
end
