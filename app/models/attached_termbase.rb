# A termbase on a project: its place in the order, whether new terms go there, whether checks use it.
class AttachedTermbase < ApplicationRecord
  include AttachedItem

  belongs_to :project
  belongs_to :termbase

  # One that was deleted keeps its place, should it be brought back.
  # A shared termbase counts as long as it is shared.
  scope :usable, lambda {
    where(termbase_id: Termbase.present.select(:id)).where(reached("termbase", Share.accepted))
      .order(:position)
  }
  scope :adding, lambda {
    usable.where(adds: true, read_only: false).where(reached("termbase", Share.adding))
  }
end
