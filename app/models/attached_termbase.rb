# A termbase on a project: its place in the order, whether new terms go there, whether checks use it.
class AttachedTermbase < ApplicationRecord
  belongs_to :project
  belongs_to :termbase

  # One that was deleted keeps its place, should it be brought back.
  scope :usable, -> { where(termbase_id: Termbase.present.select(:id)).order(:position) }
  scope :adding, -> { usable.where(adds: true, read_only: false) }
end
