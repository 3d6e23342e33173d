# Writes units with their index. One by one they are found at once; in bulk they become parts of the index.
class Memory::Writer
  COLUMNS = %w[
    memory_id source target source_hash words author changed_by client subject project file origin key
    previous_hash next_hash codes extra used import_id created_at updated_at
  ].freeze

  def initialize(memory)
    @memory, @index = memory, Memory::Index.new(memory.id)
  end

  # attributes: of a TranslationUnit, source and target in the written form. Returns the id of the unit.
  def add(attributes)
    entry = TranslationUnit.entry(attributes.fetch(:source))
    values = {
      memory_id: @memory.id,
      source_hash: TranslationUnit.hash_of(attributes[:source]),
      words: entry.signature,
      **attributes
    }
    id = TranslationUnit.insert!(values, returning: :id).rows.first.first
    @index.add(id, entry)
    Memory::Index.put_text(id, attributes[:source], attributes[:target])
    id
  end

  # Changes a unit; where the texts change, so does the index.
  def change(unit, attributes)
    before = [unit.source, unit.target]
    unit.assign_attributes(attributes)
    if unit.source == before[0]
      unit.save!
    else
      entry = TranslationUnit.entry(unit.source)
      unit.update!(source_hash: TranslationUnit.hash_of(unit.source), words: entry.signature)
      @index.add(unit.id, entry)
    end
    if [unit.source, unit.target] != before
      Memory::Index.drop_text(unit.id, *before)
      Memory::Index.put_text(unit.id, unit.source, unit.target)
    end
    unit
  end

  # Postings that name them stay until the index is made anew; nobody finds anything by them.
  def remove(ids)
    units = TranslationUnit.where(id: ids)
    units.pluck(:id, :source, :target).each { |row| Memory::Index.drop_text(*row) }
    units.delete_all
  end

  # Inserts units in bulk. rows: [values in the order of COLUMNS after memory_id, entry, plain texts]; yields
  # the id and entry of each. For whoever is inside a transaction.
  def insert(rows)
    unit =
      raw.prepare(
        "INSERT INTO translation_units (#{COLUMNS.join(", ")}) VALUES (#{COLUMNS.map { "?" }.join(", ")})"
      )
    text = raw.prepare("INSERT INTO memory_texts (rowid, source, target) VALUES (?, ?, ?)")
    rows.each do |values, entry, plain|
      put(unit, @memory.id, *values)
      id = raw.last_insert_row_id
      put(text, id, Memory::Index.parted(plain[0]), Memory::Index.parted(plain[1]))
      yield id, entry
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

  def raw = @raw ||= Memory::Index.connection
end
