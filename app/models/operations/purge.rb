# What was deleted longer ago than it is kept goes for good. It belongs to nobody.
class Operations::Purge < Operation
  self.default_weight = "bulk"
  self.exclusive = false
  self.superseding = true
  self.in_activity = false

  KEPT_FOR = 3.days

  def perform
    TrashItem.purge_old
    Memory.purge_old
    Project.purge_quick
    # Files whose operation was stopped before they became part of anything.
    ActiveStorage::Blob.unattached.where(created_at: ..1.day.ago).find_each(&:purge)
    forget_progress
  end

  private

  # What only showed progress is of no use for long; files that were made to be downloaded go with it.
  def forget_progress
    Operation.where.not(kind: Operations.listed_kinds + %w[unit_learning alignment_edit])
      .where(active: false, created_at: ..KEPT_FOR.ago).where.not(state: Operation::UNDER_WAY)
      .find_each(&:purge)
  end

  def heavy? = true
end
