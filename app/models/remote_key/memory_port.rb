# A memory of the user, as the core's service takes it.
class RemoteKey::MemoryPort
  def initialize(memory, key)
    @memory, @key = memory, key
  end

  delegate :size, to: :@memory

  def languages = [@memory.source_lang, @memory.target_lang]

  # Points that are taken off are the business of whoever asks.
  def matches(query, threshold:, limit:)
    found = Glossema::Matching::Lookup.new([@memory.store]).matches(query, threshold: threshold, limit: limit)
    wired(found.map { |match| match.candidate.id })
  end

  def concordance(text, side:, way:, limit:)
    found = Memory::Concordance.new([@memory], text: text, side: side, way: way).to_h
    wired(found[:hits].pluck(:unit).first(limit))
  end

  def units(after:, limit:)
    @memory.units.where("id > ?", after).order(:id).limit(limit).map { |unit| wire(unit) }
  end

  def learn(units)
    count = units.count { |unit| @memory.learn_from_outside(unit, @key) }
    @memory.attached_projects.find_each { |project| project.announce("learned") }
    count
  end

  private

  def wired(ids)
    found = TranslationUnit.where(id: ids).index_by(&:id)
    ids.filter_map { |id| found[id] && wire(found[id]) }
  end

  def wire(unit)
    about = unit.attributes.slice("client", "subject", "project", "file", "origin", "key")
    times = { created_at: unit.created_at, changed_at: unit.updated_at }
    Glossema::Remote::Unit.new(
      id: unit.id.to_s, source: unit.source, target: unit.target, used: unit.used.to_s,
      author: unit.changed_by.presence || unit.author, **times.transform_values { |time| time.utc.iso8601 },
      previous: Glossema::Remote.mark(unit.previous_hash), next: Glossema::Remote.mark(unit.next_hash),
      **about.symbolize_keys
    )
  end
end
