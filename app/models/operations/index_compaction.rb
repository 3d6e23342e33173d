# The index of a memory made one part again, when what was learned one by one is much.
class Operations::IndexCompaction < Operation
  self.default_weight = "bulk"
  self.exclusive = false
  self.in_activity = false
  self.superseding = true

  def perform
    index = Memory::Index.new(subject_id)
    index.compact if index.crowded?
  end

  def heavy? = true
end
