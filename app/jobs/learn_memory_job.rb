# Has completion learn from a memory, and tells the projects that use it.
class LearnMemoryJob < ApplicationJob
  limits_concurrency to: 1, key: ->(memory) { memory }, duration: 30.minutes

  def perform(memory)
    return unless Memory::Learned.new(memory).stale?

    Memory::Learned.new(memory).learn_apart
    memory.attachments.includes(:project).each { |row| row.project.announce("learned") }
  end
end
