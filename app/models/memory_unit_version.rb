# What a unit was before a change; before is nil where the change made it.
class MemoryUnitVersion < ApplicationRecord
  belongs_to :unit, class_name: "MemoryUnit", optional: true, inverse_of: :versions
  belongs_to :act, class_name: "MemoryChange", foreign_key: :change_id, inverse_of: :versions
end
