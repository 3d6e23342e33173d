# Units of another memory become units of this one; those it has already go with the other memory, which is
# deleted. input: "from", the other memory.
class Operations::MemoryMerge < Operation
  include Operation::RevertsUnits

  self.default_weight = "bulk"
  self.reverts_when_stopped = true

  def perform
    begin_with_other
    in_slices(scope.ids, SLICE) { |ids| take_over(ids) }
    enter("indexing")
    Memory::Restoring.new(self).index
    compact
    note("added" => unit_versions.count)
  end

  def revert
    super
    give_back
  end

  private

  def scope = TranslationUnit.where(memory_id: input["from"])

  def take_over(ids)
    list = TranslationUnit.where(id: ids).to_a
    known = subject.units.where(source_hash: list.map(&:source_hash)).pluck(:source_hash, :target).to_set
    moved = list.reject { |unit| known.include?([unit.source_hash, unit.target]) }
    return if moved.empty?

    TranslationUnitVersion.insert_all!(moved.map { |unit|
      { unit_id: unit.id, operation_id: id, before: unit.kept }
    })
    TranslationUnit.where(id: moved.map(&:id)).update_all(memory_id: subject_id)
  end

  # The other one is out of sight while its units move, also when it is tried again.
  def begin_with_other
    Memory.where(id: input["from"], deleted_at: nil).update_all(deleted_at: Time.current)
  end

  # What undoing it leaves: the other memory is there again.
  def give_back = Memory.where(id: input["from"]).update_all(deleted_at: nil)
  def abandon = give_back

  # Also where nothing was moved the other memory was deleted.
  def changed_anything? = true
end
