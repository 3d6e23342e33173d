# One version of a segment's translation, with its origin and author.
class Version < ApplicationRecord
  belongs_to :segment
  belongs_to :user, optional: true
end
