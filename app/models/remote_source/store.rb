# The core's memory port over what another server answered: what it was not asked yet it does not know.
class RemoteSource::Store
  attr_reader :penalty

  def initialize(memory, penalty = 0)
    @memory, @penalty = memory, penalty
  end

  def id = @memory.id
  def name = @memory.name
  def language_pair = @memory.remote.item_pair

  # See Glossema::Matching::Lookup.
  def candidates(units, content:, **more, &block)
    held(content).candidates(units, content: content, **more, &block)
  end

  private

  def held(content)
    digest = RemoteAnswer.digest("matches", language_pair, content.written)
    known = RemoteAnswer.known(@memory.remote, [digest])[digest].to_a
    units = known.filter_map { |one| Glossema::Remote::Unit.from_h(one) }
    Glossema::Remote::Held.new(units, id: id, name: name, language_pair: language_pair, penalty: penalty)
  end
end
