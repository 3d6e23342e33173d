# The core's memory port on SQLite: the store finds candidates, the core scores them.
class Memory::Store
  # How many postings a lookup may read.
  BUDGET = 5_000
  # Of the units found so many are compared by their signatures at first, then more as long as there are good
  # ones among the last; short texts by their letters.
  COMPARED = [120, 500, 2500, 10_000].freeze
  # The same where only the best one is wanted: of 873 segments of a count two are told otherwise, both below
  # 75.
  BUDGET_FOR_BEST = 1_500
  COMPARED_FOR_BEST = [120, 500].freeze
  READ_FOR_EACH_WANTED = 12
  # Below this score it is not worth looking at very many for a few more.
  SURE = 70
  SPELT = 500
  # A guess and an id in one number: the id takes so many bits, the guess so many parts of a point.
  UNIT_BITS = 40
  FINE = 64
  SLACK = Glossema::Matching::Lookup::SLACK
  # How many units are read at a time.
  BATCH = 20
  # How many units of the same source are looked at for the one in context.
  EXACT = 60
  COLUMNS =
    "target, author, changed_by, client, subject, project, file, origin, key, previous_hash, next_hash, " \
      "used, created_at, updated_at".freeze
  TEXTS = %w[author changed_by client subject project file origin key].freeze
  Grams = Glossema::Matching::Grams

  # A unit that was found and deleted before it was read.
  Gone = Class.new(StandardError)

  # A unit found. What it says beside its source is read when it is asked for: of most the source is enough.
  class Found < Glossema::Matching::Candidate
    def target = (self[:target] || read) && self[:target]
    def attributes = (self[:attributes] || read) && self[:attributes]

    private

    def read
      target, *row =
        Memory::Index.select("SELECT #{COLUMNS} FROM translation_units WHERE id = ?",
          [id]).first || raise(Gone)
      texts = row.first(TEXTS.size)
      previous, following, used, made, changed = row.drop(TEXTS.size)
      self[:target] = Glossema::Content.from_written(target)
      self[:attributes] = TEXTS
        .zip(texts.map(&:to_s))
        .to_h
        .merge(
          "previous" => previous&.to_s,
          "next" => following&.to_s,
          "used" => used,
          "created_at" => iso(made),
          "updated_at" => iso(changed)
        )
    end

    def iso(time) = "#{time.to_s[0, 19].tr(" ", "T")}Z"
  end

  attr_reader :penalty

  def initialize(memory, penalty = 0)
    @memory, @penalty = memory, penalty
    @index = Memory::Index.new(memory.id)
  end

  def id = @memory.id
  def name = @memory.name
  def language_pair = [@memory.source_lang, @memory.target_lang]

  # The exact units, then those that share most words with the text looked up. With `best_only` exact ones are
  # enough.
  def candidates(units, content:, floor:, limit:, best_only: false)
    exact =
      sources(
        "memory_id = ? AND source_hash = ? ORDER BY updated_at DESC LIMIT #{EXACT}",
        [id, TranslationUnit.hash_of(content)]
      )
    exact.each { |unit, source| offer(unit, source, nil) { |candidate| yield candidate } }
    return if best_only && exact.any?

    words, marks = Grams.of_units(units)
    return if words.empty?

    likeliest(content.text, words, marks, Glossema::Matching::Score.weight(units), floor, limit, best_only)
      .reject { |_, unit| exact.key?(unit) }
      .each_slice(BATCH) do |slice|
        list = sources("id IN (#{slice.map(&:last).join(",")})")
        slice.each do |guess, unit|
          list[unit] && offer(unit, list[unit], guess) { |candidate| yield candidate }
        end
      end
  end

  private

  # {id => source}
  def sources(condition, values = []) =
    Memory::Index.select("SELECT id, source FROM translation_units WHERE #{condition}", values).to_h

  def offer(id, source, guess)
    yield Found.new(id: id, source: Glossema::Content.from_written(source), guess: guess)
  rescue Gone
    nil
  end

  # [[about what score, id], …] of the units most like a text of these words and marks, the likeliest first.
  def likeliest(text, words, marks, weight, floor, limit, best_only)
    counts = best_only ? COMPARED_FOR_BEST : COMPARED
    counts = counts.map { |count| [count, READ_FOR_EACH_WANTED * limit].max }.uniq
    found =
      @index.find(
        words,
        weight,
        [floor, 1].max,
        best_only ? BUDGET_FOR_BEST : BUDGET,
        [counts.last, SPELT].max
      )
    return spelt_alike(text, found.first(SPELT), limit) if words.size <= Grams::SHORT

    own = Grams.parse(Grams.signature(words, marks))
    guesses = guessed(own, found, counts, floor, limit)
    guesses.reverse.map { |guess| [(guess >> UNIT_BITS) / FINE.to_f, guess & ((1 << UNIT_BITS) - 1)] }
  end

  # The guesses of those found, sorted: of the first so many, then of more as long as that is worth it.
  def guessed(own, found, counts, floor, limit)
    guesses, seen = [], 0
    counts.each do |count|
      fresh = compared(own, found[seen...count].to_a)
      guesses.concat(fresh).sort!
      seen = count
      # With a place in the list in sight, the next may hold better ones.
      last = guesses.size > limit ? guesses[-limit] >> UNIT_BITS : 0
      least = [[floor, SURE].max * FINE, last].max - (SLACK * FINE)
      good = fresh.last(fresh.size / 2).any? { |guess| guess >> UNIT_BITS >= least }
      break if seen >= found.size || !good
    end
    guesses
  end

  # [guess and id as one number, …], in the order of the ids: numbers are sorted faster than pairs.
  def compared(own, ids)
    return [] if ids.empty?

    found =
      Memory::Index.select(
        "SELECT id, words FROM translation_units WHERE +memory_id = ? AND id IN (#{ids.join(",")})",
        [id]
      ).to_h
    ids.filter_map do |unit|
      (packed = found[unit]) && (((Grams.likeness(own, packed) * FINE).to_i << UNIT_BITS) | unit)
    end
  end

  # Of short texts it is the letters that tell.
  def spelt_alike(text, ids, limit)
    return [] if ids.empty?

    Memory::Index
      .select("SELECT id, source FROM translation_units WHERE +memory_id = ? " \
        "AND id IN (#{ids.join(",")})", [id])
      .map { |unit, source| [Glossema::Matching::Score.spelling(text, source), unit] }
      .max(limit * 2 + 10)
      .map { |_, unit| [nil, unit] }
  end
end
