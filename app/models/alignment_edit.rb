# One act on the beads of an alignment, by which it is taken back and done again.
class AlignmentEdit < ApplicationRecord
  belongs_to :alignment
end
