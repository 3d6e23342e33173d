# A translation unit. source_key is that of segments, so that repeats and units meet.
class MemoryUnit < ApplicationRecord
  belongs_to :memory
end
