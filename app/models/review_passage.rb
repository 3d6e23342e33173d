# A segment in a pass inside: what its reviser is writing in it, and whether she has read it.
class ReviewPassage < ApplicationRecord
  belongs_to :review_round
  belongs_to :segment

  scope :read, -> { where.not(read_at: nil) }
end
