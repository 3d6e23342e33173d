# Writes units with their index. One by one they are found at once; in bulk they become parts of the index.
class MemoryWriter
  Grams = Glossema::Matching::Grams
  COLUMNS = %w[memory_id source target source_hash words author changed_by client subject project file origin key previous_hash next_hash codes extra used import_id created_at updated_at].freeze

  def initialize(memory)
    @memory, @index = memory, MemoryIndex.new(memory.id)
  end

  # attributes: of a MemoryUnit, source and target in the written form. Returns the unit.
  def add(attributes)
    content = Glossema::Content.from_written(attributes.fetch(:source))
    words, marks = Grams.tokens(MemoryIndex.plain(attributes.fetch(:source)))
    unit = @memory.units.create!(source_hash: MemoryUnit.hash_of(content), words: Grams.signature(words, marks), **attributes)
    @index.add(unit.id, words)
    MemoryIndex.put_text(unit.id, unit.source, unit.target)
    unit
  end

  # Changes a unit; where the texts change, so does the index.
  def change(unit, attributes)
    before = [unit.source, unit.target]
    unit.assign_attributes(attributes)
    if unit.source == before[0]
      unit.save!
    else
      words, marks = Grams.tokens(MemoryIndex.plain(unit.source))
      unit.update!(source_hash: MemoryUnit.hash_of(Glossema::Content.from_written(unit.source)), words: Grams.signature(words, marks))
      @index.add(unit.id, words)
    end
    if [unit.source, unit.target] != before
      MemoryIndex.drop_text(unit.id, *before)
      MemoryIndex.put_text(unit.id, unit.source, unit.target)
    end
    unit
  end

  # A unit as it was, whether it is still there or not.
  def put_back(id, kept)
    unit = MemoryUnit.find_by(id: id)
    if unit
      # Back where it was, too: its postings there may be gone.
      MemoryIndex.new(kept["memory_id"]).add(id, Grams.tokens(MemoryIndex.plain(kept["source"])).first) if unit.memory_id != kept["memory_id"]
      return change(unit, kept)
    end

    words, marks = Grams.tokens(MemoryIndex.plain(kept["source"]))
    MemoryUnit.create!(id: id, source_hash: MemoryUnit.hash_of(Glossema::Content.from_written(kept["source"])), words: Grams.signature(words, marks), **kept)
    MemoryIndex.new(kept["memory_id"]).add(id, words)
    MemoryIndex.put_text(id, kept["source"], kept["target"])
  end

  # Postings that name them stay until the index is made anew; nobody finds anything by them.
  def remove(ids)
    units = MemoryUnit.where(id: ids)
    units.pluck(:id, :source, :target).each { |row| MemoryIndex.drop_text(*row) }
    units.delete_all
  end

  # Inserts units in bulk. rows: arrays in the order of COLUMNS after memory_id, followed by how many words it has, its sketch and its grams, packed; yields the id and these of each.
  # For whoever is inside a transaction.
  def insert(rows)
    unit = raw.prepare("INSERT INTO memory_units (#{COLUMNS.join(', ')}) VALUES (#{COLUMNS.map { '?' }.join(', ')})")
    text = raw.prepare("INSERT INTO memory_texts (rowid, source, target) VALUES (?, ?, ?)")
    rows.each do |source, target, hash, signature, *rest, count, sketch, grams|
      put(unit, @memory.id, source, target, hash, SQLite3::Blob.new(signature), *rest)
      id = raw.last_insert_row_id
      put(text, id, MemoryIndex.plain(source), MemoryIndex.plain(target))
      yield id, count, sketch, grams
    end
  ensure
    unit&.close
    text&.close
  end

  private

  # Runs a prepared statement that answers nothing.
  def put(statement, *values)
    statement.reset!
    statement.clear_bindings!
    values.each_with_index { |value, index| statement.bind_param(index + 1, value) unless value.nil? }
    statement.step
  end

  def raw = @raw ||= MemoryIndex.connection
end
