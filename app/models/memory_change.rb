# One act on a memory: an import, an edit, a bulk edit or deletion, a merge. It can be taken back as one step.
class MemoryChange < ApplicationRecord
  KINDS = %w[import learn edit bulk delete merge split].freeze
  STATES = %w[waiting running done cancelled failed].freeze
  STEP = 1000

  belongs_to :memory
  belongs_to :user, optional: true
  has_many :versions, class_name: "MemoryUnitVersion", foreign_key: :change_id, dependent: :delete_all, inverse_of: :act
  has_one_attached :file

  validates :kind, inclusion: { in: KINDS }
  validates :state, inclusion: { in: STATES }

  def busy? = %w[waiting running].include?(state)

  # Begins again what a restart cut short; imports of the command line end with what they had taken in.
  def self.resume
    where(kind: %w[merge split], state: %w[waiting running]).find_each { |change| MoveUnitsJob.perform_later(change) }
    where(kind: "import", state: %w[waiting running]).find_each { |change| change.file.attached? ? ImportUnitsJob.perform_later(change) : change.memory.repair }
  end

  # Whoever works on it sees so and stops. A memory that was to be merged is there again with what is left of it.
  def cancel
    return unless busy?

    update!(state: "cancelled")
    Memory.where(id: options["from"]).update_all(deleted_at: nil) if kind == "merge"
  end

  # About how many seconds it will take yet, nil where that cannot be told.
  def left
    return unless state == "running" && done.positive? && total >= done

    ((Time.current - created_at) * (total - done) / done).round
  end

  # Takes the act back: what it made goes, what it changed or deleted is as it was. Units changed since keep what is newer.
  def undo
    raise Glossema::Refused.new("undone", "This was taken back already.") if undone_at
    raise Glossema::Refused.new("busy", "This is still running; cancel it first.") if busy?

    writer = MemoryWriter.new(memory)
    if kind == "import"
      ids = facts.values_at("first", "last")
      made = memory.units.where(id: ids[0]..ids[1], import_id: id)
      made.in_batches(of: STEP) { |units| transaction { writer.remove(units.pluck(:id)) } } if ids.all?
    end
    versions.in_batches(of: STEP) { |batch| transaction { batch.each { |version| restore(version, writer) } } }
    Memory.where(id: options["from"]).update_all(deleted_at: nil) if kind == "merge"
    # What splitting made goes with what it held.
    memory.update!(deleted_at: Time.current) if kind == "split" && memory.units.none?
    update!(undone_at: Time.current)
  end

  private

  def restore(version, writer)
    return if MemoryUnitVersion.exists?(["unit_id = ? AND id > ? AND change_id <> ? AND change_id IN (SELECT id FROM memory_changes WHERE undone_at IS NULL)", version.unit_id, version.id, id])

    version.before ? writer.put_back(version.unit_id, version.before) : writer.remove([version.unit_id])
  end
end
