# What the checks found in a segment as it was when its digest was taken.
class CheckedSegment < ApplicationRecord
  belongs_to :segment
end
