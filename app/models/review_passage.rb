# A segment in a review inside the application: the reviser's draft, and whether it was read.
class ReviewPassage < ApplicationRecord
  belongs_to :review_round
  belongs_to :segment

  scope :read, -> { where.not(read_at: nil) }
end
