# Units deleted; they can be restored from the Trash.
class Operations::UnitDeletion < Operations::UnitBulkEdit
  private

  def change(ids)
    keep(ids)
    Memory::Writer.new(subject).remove(ids)
  end
end
