# A memory on a project: its place in the order, when it learns, and its penalty.
class AttachedMemory < ApplicationRecord
  self.table_name = "attachments_of_memories"
  LEARNS = %w[confirm deliver never].freeze

  include AttachedItem

  belongs_to :project
  belongs_to :memory
  validates :learns, inclusion: { in: LEARNS }

  # A memory that was deleted keeps its place, should it be brought back, but neither gives nor learns.
  # A shared memory counts as long as it is shared.
  scope :usable, -> { where(memory_id: Memory.present.select(:id)).where(reached("memory", Share.accepted)) }
  scope :learning, lambda { |moment|
    usable.where(learns: moment, read_only: false).where(reached("memory", Share.adding))
  }

  # What is taken off its matches besides, for being of other regions than the project.
  def region_penalty
    same = [memory.source_lang, memory.target_lang] == [project.source_lang, project.target_lang]
    same ? 0 : Glossema::Matching::Lookup::OTHER_REGION
  end
end
