# Makes the index of a memory one part again when what was learned one by one is much.
class CompactMemoryJob < ApplicationJob
  def perform(memory)
    index = Memory::Index.new(memory.id)
    index.compact if index.crowded?
  end
end
