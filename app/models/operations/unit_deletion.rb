# Units deleted; they can be restored from the Trash.
class Operations::UnitDeletion < Operations::UnitBulkEdit
  # What a search finds may be more by the time it runs.
  def right_needed = Array(input.dig("chosen", "ids")).size == 1 ? super : "manage"

  private

  def change(ids)
    keep(ids)
    Memory::Writer.new(subject).remove(ids)
  end
end
