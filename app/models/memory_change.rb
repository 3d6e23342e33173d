# One act on a memory: an import, an edit, a bulk edit or deletion, a merge. It can be taken back as one step.
class MemoryChange < ApplicationRecord
  KINDS = %w[import learn edit bulk delete merge split].freeze
  STATES = %w[waiting running done cancelled failed undoing].freeze
  STEP = 1000
  # What touches more units than this is done in the background.
  MANY = 3000

  belongs_to :memory
  belongs_to :user, optional: true
  has_many :versions,
    class_name: "MemoryUnitVersion",
    foreign_key: :change_id,
    dependent: :delete_all,
    inverse_of: :act
  has_one_attached :file

  validates :kind, inclusion: { in: KINDS }
  validates :state, inclusion: { in: STATES }

  def busy? = %w[waiting running].include?(state)

  # Begins again what a restart cut short; imports of the command line end with what they had taken in.
  def self.resume
    where(kind: %w[merge split delete bulk], state: %w[waiting running])
      .or(where(state: "undoing"))
      .find_each { |change| ChangeUnitsJob.perform_later(change) }
    where(kind: "import", state: %w[waiting running]).find_each do |change|
      change.file.attached? ? ImportUnitsJob.perform_later(change) : change.memory.repair
    end
  end

  # Whoever works on it sees so and stops. A memory that was to be merged is there again with what is left of
  # it.
  def cancel
    return unless busy?

    update!(state: "cancelled")
    Memory.where(id: options["from"]).update_all(deleted_at: nil) if kind == "merge"
  end

  # About how many seconds it will take yet, nil where that cannot be told.
  def left
    if state == "running" && done.positive? && total >= done
      ((Time.current - created_at) * (total - done) / done).round
    end
  end

  # Few units are changed at once, many in the background.
  def begin = total > MANY ? ChangeUnitsJob.perform_later(self) : work

  def work
    return take_back if state == "undoing"

    kind.in?(%w[merge split]) ? memory.take_over(self) : memory.work_on(self)
  end

  # Takes the act back: what it made goes, what it changed or deleted is as it was. Units changed since keep
  # what is newer.
  def undo
    raise Glossema::Refused.new("undone") if undone_at
    if busy? || state == "undoing"
      raise Glossema::Refused.new("busy")
    end

    update!(state: "undoing", done: 0, total: made.count + versions.count)
    self.begin
  end

  private

  # The units an import brought in.
  def made
    first, last = facts.values_at("first", "last")
    first && last && kind == "import" ? memory.units.where(id: first..last, import_id: id) : MemoryUnit.none
  end

  def take_back
    writer = Memory::Writer.new(memory)
    made.in_batches(of: STEP) do |units|
      transaction { writer.remove(units.pluck(:id)) && update!(done: done + STEP) }
    end
    versions.in_batches(of: STEP) do |batch|
      transaction { batch.each { |version| restore(version, writer) } && update!(done: done + STEP) }
    end
    Memory.where(id: options["from"]).update_all(deleted_at: nil) if kind == "merge"
    # What splitting made goes with what it held.
    memory.update!(deleted_at: Time.current) if kind == "split" && memory.units.none?
    update!(state: "done", undone_at: Time.current)
  end

  def restore(version, writer)
    if MemoryUnitVersion.exists?(
         [
           "unit_id = ? AND id > ? AND change_id <> ? AND change_id IN (SELECT id FROM memory_changes " \
             "WHERE undone_at IS NULL)",
           version.unit_id,
           version.id,
           id
         ]
       )
      return
    end

    version.before ? writer.put_back(version.unit_id, version.before) : writer.remove([version.unit_id])
  end
end
