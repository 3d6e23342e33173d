# What the checks found in a segment as it was seen then, and the terms it holds.
class CheckedSegment < ApplicationRecord
  belongs_to :segment
end
