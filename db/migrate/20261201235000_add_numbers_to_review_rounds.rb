# The numbers that segments had in the sheet of a round, by id.
class AddNumbersToReviewRounds < ActiveRecord::Migration[7.2]
  def change = add_column(:review_rounds, :numbers, :json, default: {}, null: false)
end
