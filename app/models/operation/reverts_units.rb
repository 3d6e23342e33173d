# Operations that change units of a memory, with what each of them was kept in unit_versions: how they are
# undone.
module Operation::RevertsUnits
  SLICE = 50

  def revert
    restoring = Memory::Restoring.new(self)
    versions = unit_versions.order(:id).ids
    in_slices(versions, SLICE, counter: "versions") { |ids|
      restoring.restore(TranslationUnitVersion.where(id: ids).order(:id).to_a)
    }
    restoring.index
    compact
  end

  # What was half done and is undone needs no history, and is done anew when it is tried again.
  def undo_half_done
    super
    unit_versions.in_batches(of: 1000, &:delete_all)
  end

  # Much of it is done by a process of its own.
  def heavy? = Operation::ChildProcess.worth?(units: undoing? ? unit_versions.count : total)

  private

  # Few units are changed while the request waits.
  def small? = (undoing? ? unit_versions.count : total) <= Operation::SMALL
  def changed_anything? = unit_versions.exists?

  def compact
    index = Memory::Index.new(subject_id)
    index.compact if index.crowded?
  end
end
