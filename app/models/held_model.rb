# A model of completion that is held in memory while it is used: whoever reads it, or adds to it, does so
# alone. Each has a lock of its own, so that nobody waits for what others translate.
class HeldModel
  # model: a Glossema::Completion::Model; since: up to where it took in what it learns from.
  attr_accessor :model, :since

  # Yields the models of some, while nobody else adds to them.
  def self.reading(held, &block)
    inner = -> { block.call(held.map(&:model)) }
    # In one order, so that two that need the same never wait for each other.
    held.uniq.sort_by(&:object_id).reduce(inner) { |rest, one| -> { one.alone(&rest) } }.call
  end

  def initialize(model = nil, since = nil)
    @model, @since, @lock = model, since, Monitor.new
  end

  def alone(&) = @lock.synchronize(&)
end
