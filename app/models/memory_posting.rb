# Which units hold which word: the index of a memory.
class MemoryPosting < ApplicationRecord
end
