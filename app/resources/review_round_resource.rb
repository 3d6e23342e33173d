# A round of review, and how far its changes are decided.
class ReviewRoundResource < ApplicationResource
  typelize state: "RoundState", counts: "Record<Decision, number>", sent: "number", sheet: "string | null",
    way: "'sheet' | 'inside'", may: "Right", guest: "string | null", read: "number", remarks: "number",
    as: "string", strange: "Strange | null"

  attributes :id, :number, :reviser, :state, :created_at, :back_at, :closed_at, :way, :may
  attribute(:guest) { |round| round.guest&.email }
  attribute(:read) { |round| round.passages.read.count }
  attribute(:remarks) { |round| round.remarks.count }
  attribute(:as) { |round| round.options["as"].to_s }
  # What was not as it went out in the sheet that came back.
  attribute(:strange) { |round| round.options["strange"] }
  attribute(:sent) { |round| round.base.size }
  attribute(:sheet) { |round| round.sheet.attached? ? round.sheet.filename.to_s : nil }
  attribute(:counts) do |round|
    counted = round.corrections.group(:decision).count
    ReviewChange::DECISIONS.to_h { |decision| [decision, counted.fetch(decision, 0)] }
  end
end
