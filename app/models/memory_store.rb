# The core's memory port on SQLite: the store finds candidates, the core scores them. All storage tricks are in here.
class MemoryStore
  RARE = 6
  POOL = 200

  attr_reader :penalty

  def initialize(memory, penalty = 0)
    @memory, @penalty = memory, penalty
  end

  def id = @memory.id
  def name = @memory.name
  def language_pair = [@memory.source_lang, @memory.target_lang]

  # Candidates share the rarest words of the text looked up and are of a length that can reach the floor; the exact ones
  # are always among them.
  def candidates(units, content:, floor:, limit:, best_only: false)
    weight = Glossema::Matching::Score.weight(units)
    exact = scope.where(source_key: Segment.key_of(content)).order(updated_at: :desc).limit(20).to_a
    return exact.map { |unit| candidate(unit) } if best_only && exact.any?

    tokens = MemoryStore.tokens(units)
    ids = tokens.empty? ? [] : shared(tokens, weight * floor / 100.0, weight * 100.0 / [floor, 1].max, limit)
    (exact + scope.where(id: ids - exact.map(&:id)).to_a).map { |unit| candidate(unit) }
  end

  def add(source, attributes)
    units = Glossema::Matching::Score.units(source)
    unit = @memory.units.create!(source: source.written, source_key: Segment.key_of(source), weight: Glossema::Matching::Score.weight(units), **attributes)
    index(unit, units)
    unit
  end

  def change(unit, source, attributes)
    units = Glossema::Matching::Score.units(source)
    unit.update!(source: source.written, source_key: Segment.key_of(source), weight: Glossema::Matching::Score.weight(units), **attributes)
    MemoryPosting.where(unit_id: unit.id).delete_all
    index(unit, units)
    unit
  end

  # The words of a text as numbers, without case.
  def self.tokens(units) = units.reject { |unit| %i[mark code].include?(unit.kind) }.map { |unit| Zlib.crc32(unit.text.downcase) }.uniq

  private

  def scope = @memory.units

  def index(unit, units)
    rows = MemoryStore.tokens(units).map { |token| { memory_id: @memory.id, token: token, unit_id: unit.id } }
    MemoryPosting.insert_all(rows) if rows.any?
  end

  def shared(tokens, lightest, heaviest, limit)
    rare = rarest(tokens)
    MemoryPosting.where(memory_id: @memory.id, token: rare).joins("JOIN memory_units ON memory_units.id = memory_postings.unit_id")
                 .where(memory_units: { weight: lightest..heaviest }).group(:unit_id).order(Arel.sql("COUNT(*) DESC, unit_id DESC")).limit([limit, POOL].min).pluck(:unit_id)
  end

  # All words of a short text; of a long one the half that the fewest units have.
  def rarest(tokens)
    return tokens if tokens.size <= RARE

    counts = MemoryPosting.where(memory_id: @memory.id, token: tokens).group(:token).count
    tokens.sort_by { |token| counts.fetch(token, 0) }.reject { |token| counts.fetch(token, 0).zero? }.first([RARE, tokens.size / 2].max)
  end

  def candidate(unit)
    attributes = unit.attributes.slice("author", "client", "subject", "project", "file", "origin", "previous", "next").transform_values(&:to_s)
    Glossema::Matching::Candidate.new(id: unit.id, source: Glossema::Content.from_written(unit.source), target: Glossema::Content.from_written(unit.target),
                                      attributes: attributes.merge("created_at" => unit.created_at.iso8601, "updated_at" => unit.updated_at.iso8601))
  end
end
