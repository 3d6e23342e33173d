# Units of a client or subject field become a memory of their own. input: "from", the memory they come from;
# "field" and "value", which units it is about.
class Operations::MemorySplit < Operations::MemoryMerge
  private

  def scope = super.where(input["field"] => input["value"])
  def begin_with_other = subject.update!(deleted_at: nil)

  # The memory it made goes with what it held.
  def give_back = subject.units.none? && subject.update!(deleted_at: Time.current)
end
