# Units of a client or subject field become a memory of their own. input: as of a merge.
class Operations::MemorySplit < Operations::MemoryMerge
  # The memory it made goes with what it held.
  def revert
    super
    subject.update!(deleted_at: Time.current) if subject.units.none?
  end

  private

  def scope = super.where(input["field"] => input["value"])
end
