# The core's memory port on SQLite: the store finds candidates, the core scores them.
class MemoryStore
  # How many postings a lookup may read, and how many units it compares by their words, or short ones by
  # their letters.
  BUDGET = 5_000
  COMPARED = 100
  SPELT = 500
  # How many units of the same source are looked at for the one in context.
  EXACT = 60
  # How much of a score words may give that are alike without having one key.
  SOFT = 0.3
  COLUMNS = "id, source, target, author, changed_by, client, subject, project, file, origin, key, previous_hash, next_hash, used, created_at, updated_at".freeze
  TEXTS = %w[author changed_by client subject project file origin key].freeze
  Grams = Glossema::Matching::Grams

  attr_reader :penalty

  def initialize(memory, penalty = 0)
    @memory, @penalty = memory, penalty
    @index = MemoryIndex.new(memory.id)
  end

  def id = @memory.id
  def name = @memory.name
  def language_pair = [@memory.source_lang, @memory.target_lang]

  # The exact units, and those that share most words with the text looked up. With `best_only` exact ones are enough.
  def candidates(units, content:, floor:, limit:, best_only: false)
    exact = rows("memory_id = ? AND source_hash = ? ORDER BY updated_at DESC LIMIT #{EXACT}", [id, MemoryUnit.hash_of(content)])
    return exact.map { |row| candidate(row) } if best_only && exact.any?

    words = Grams.words(content.text)
    ids = words.empty? ? [] : likeliest(content.text, words, Glossema::Matching::Score.weight(units), floor, limit) - exact.map(&:first)
    (exact + (ids.empty? ? [] : rows("id IN (#{ids.join(',')})"))).map { |row| candidate(row) }
  end

  private

  def rows(condition, values = []) = MemoryIndex.select("SELECT #{COLUMNS} FROM memory_units WHERE #{condition}", values)

  # The ids of the units most like a text of these words.
  def likeliest(text, words, weight, floor, limit)
    short = words.size <= Grams::SHORT
    hits = @index.find(words, weight, [floor, 1].max, BUDGET)
    ids = most(hits, short ? SPELT : COMPARED)
    return [] if ids.empty?
    return spelt_alike(text, ids, limit) if short

    own, top = Grams.singles(words).uniq, hits.each_value.max.to_f
    least = words.size > 3 ? (floor / 100.0) - SOFT : 0.0
    found = MemoryIndex.select("SELECT id, words FROM memory_units WHERE +memory_id = ? AND id IN (#{ids.join(',')})", [id]).filter_map do |unit, packed|
      likeness = Grams.likeness(own, packed.unpack("L*").uniq)
      [likeness + (hits[unit] / top), unit] if likeness >= least
    end
    found.max(limit).map(&:last)
  end

  # The ids that weigh most. Sorting all of many would take longer than the rest.
  def most(hits, count)
    return hits.keys if hits.size <= count

    least = hits.values.max(count).last
    ids = hits.filter_map { |id, weight| id if weight > least }
    ids + hits.lazy.filter_map { |id, weight| id if weight == least }.first(count - ids.size)
  end

  # Of short texts it is the letters that tell.
  def spelt_alike(text, ids, limit)
    MemoryIndex.select("SELECT id, source FROM memory_units WHERE +memory_id = ? AND id IN (#{ids.join(',')})", [id])
               .map { |unit, source| [Glossema::Matching::Score.spelling(text, source), unit] }.max(limit).map(&:last)
  end

  def candidate(row)
    id, source, target, *texts = row.first(3 + TEXTS.size)
    previous, following, used, made, changed = row.drop(3 + TEXTS.size)
    attributes = TEXTS.zip(texts.map(&:to_s)).to_h
    Glossema::Matching::Candidate.new(id: id, source: Glossema::Content.from_written(source), target: Glossema::Content.from_written(target),
                                      attributes: attributes.merge("previous" => previous&.to_s, "next" => following&.to_s, "used" => used, "created_at" => iso(made), "updated_at" => iso(changed)))
  end

  def iso(time) = "#{time.to_s[0, 19].tr(' ', 'T')}Z"
end
