# Things thrown away: projects and briefs, files, memories, units and rules. All of it can be brought back for
# thirty days, from one page.
class TrashItem < ApplicationRecord
  KEPT_FOR = 30.days
  KINDS = %w[project document rules client].freeze

  belongs_to :user
  validates :kind, inclusion: { in: KINDS }
  scope :waiting, -> { where(restored_at: nil, created_at: KEPT_FOR.ago..) }

  # Notes that something was put away; what it was stays where it is, out of sight.
  def self.note(user, kind, name:, record: nil, place: nil, facts: {})
    create!(user: user, kind: kind, record_id: record&.id, name: name, place: place, facts: facts)
  end

  # All deleted items of the user, newest first: [{kind:, id:, name:, place:, at:}].
  def self.list(user)
    own = waiting.where(user: user).map { |one|
      one.slice(:kind, :id, :name, :place).merge(at: one.created_at, record: one.record_id)
    }
    (own + memories(user) + termbases(user) + units(user)).map(&:symbolize_keys).sort_by { |row|
      row[:at]
    }.reverse
  end

  def self.memories(user)
    user.memories.where(deleted_at: KEPT_FOR.ago..).map do |memory|
      { kind: "memory", id: memory.id, name: memory.name, place: nil, at: memory.deleted_at }
    end
  end

  def self.termbases(user)
    user.termbases.where(deleted_at: KEPT_FOR.ago..).map do |termbase|
      { kind: "termbase", id: termbase.id, name: termbase.name, place: nil, at: termbase.deleted_at }
    end
  end

  def self.units(user)
    deletions = Operations::UnitDeletion.where(subject: user.memories.present, state: "done")
    deletions.where(created_at: KEPT_FOR.ago..).includes(:subject).map do |deletion|
      { kind: "units", id: deletion.id, name: deletion.unit_versions.count.to_s,
        place: deletion.subject.name, at: deletion.created_at }
    end
  end
  private_class_method :memories, :termbases, :units

  # Brings one thing of the list back. Raises Glossema::Refused when that cannot be.
  def self.bring_back(user, kind, id)
    case kind
    when "memory" then user.memories.find(id).bring_back
    when "termbase" then user.termbases.find(id).bring_back
    when "units" then Operations::UnitDeletion.where(subject: user.memories).find(id).undo(by: user)
    else
      where(user: user).find(id).restore
    end
  end

  def restore
    return if restored_at

    transaction do
      case kind
      when "project" then Project.find(record_id).update!(deleted_at: nil)
      when "document" then Document.find(record_id).bring_back
      when "rules" then restore_rules
      when "client" then Client.find(record_id).update!(deleted_at: nil)
      end
      update!(restored_at: Time.current)
    end
  end

  # What has been away for too long goes for good.
  def self.purge_old
    where(created_at: ..KEPT_FOR.ago).find_each do |one|
      one.forget unless one.restored_at
      one.destroy!
    end
  end

  def forget
    Project.deleted.find_by(id: record_id)&.purge if kind == "project"
    Document.find_by(id: record_id, role: "deleted")&.purge if kind == "document"
    Client.where.not(deleted_at: nil).find_by(id: record_id)&.destroy! if kind == "client"
  end

  private

  def restore_rules
    owner = Project.find_by(id: facts["project_id"]) || Client.find_by(id: facts["client_id"]) || user
    before = owner.rules
    owner.update!(rules: facts["xml"])
    return unless owner.is_a?(Project)

    Operations::RulesChange.start(owner, by: user, before: { "rules" => before })
  end
end
