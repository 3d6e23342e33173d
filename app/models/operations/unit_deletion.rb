# Units deleted; they can be restored from the Trash.
class Operations::UnitDeletion < Operations::UnitBulkEdit
  def right_needed = total > 1 ? "manage" : super

  private

  def change(ids)
    keep(ids)
    Memory::Writer.new(subject).remove(ids)
  end
end
