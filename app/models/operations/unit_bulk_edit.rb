# Attributes of many units set at once. input: "chosen", see Memory#chosen_units; "set": {attribute => value}.
class Operations::UnitBulkEdit < Operation
  include Operation::RevertsUnits

  self.default_weight = "bulk"
  self.reverts_when_stopped = true

  def perform
    ids = subject.chosen_units(input["chosen"]).where.not(id: unit_versions.select(:unit_id)).ids
    in_slices(ids, SLICE) { |slice| change(slice) }
  end

  private

  # By their ids alone: asked for those of the memory, SQLite would go through all of it for each slice.
  def change(ids)
    keep(ids)
    MemoryUnit.where(id: ids).update_all(**input["set"].symbolize_keys, changed_by: user&.name,
      updated_at: created_at)
  end

  def keep(ids)
    rows = MemoryUnit.where(id: ids).map { |unit|
      { unit_id: unit.id, operation_id: id, before: unit.kept }
    }
    MemoryUnitVersion.insert_all!(rows) if rows.any?
  end
end
