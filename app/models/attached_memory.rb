# A memory on a project: its place in the order, when it learns, and its penalty.
class AttachedMemory < ApplicationRecord
  self.table_name = "attachments_of_memories"
  LEARNS = %w[confirm deliver never].freeze

  belongs_to :project
  belongs_to :memory
  validates :learns, inclusion: { in: LEARNS }

  scope :learning, ->(moment) { where(learns: moment, read_only: false) }
end
