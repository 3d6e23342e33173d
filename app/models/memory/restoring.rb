# Units brought back to how they were before an operation, slice by slice; their index follows at the end.
class Memory::Restoring
  # Units that an index is made of at a time.
  INDEXED = 20_000

  def initialize(operation)
    @operation = operation
  end

  # versions: TranslationUnitVersion of the operation. Units that a later change wrote keep what is newer.
  def restore(versions)
    later = changed_later(versions)
    units = TranslationUnit.where(id: versions.map(&:unit_id)).index_by(&:id)
    versions.each do |version|
      restore_one(version, units[version.unit_id]) unless later.include?(version.unit_id)
    end
  end

  # Units whose postings may be gone, or never were, are found again.
  def index
    ids = @operation.unit_versions.where.not(before: nil).distinct.pluck(:unit_id)
    ids.each_slice(INDEXED) do |slice|
      TranslationUnit.where(id: slice).pluck(:id, :memory_id, :source).group_by { |row|
        row[1]
      }.each do |memory, rows|
        add_part(memory, rows.sort_by(&:first))
      end
    end
  end

  private

  def changed_later(versions)
    TranslationUnitVersion.joins(:operation)
      .where(unit_id: versions.map(&:unit_id))
      .where(translation_unit_versions: { id: (versions.map(&:id).max + 1).. })
      .where.not(operation_id: @operation.id).where(operations: { undone_at: nil })
      .distinct.pluck(:unit_id).to_set
  end

  def restore_one(version, unit)
    kept = version.before
    return remove(version, unit) unless kept
    return recreate(version.unit_id, kept) unless unit
    return unit.update_columns(**kept) if same_texts?(unit, kept)

    writer_of(unit.memory).change(unit, kept)
  end

  def remove(version, unit) = unit && writer_of(unit.memory).remove([version.unit_id])
  def same_texts?(unit, kept) = unit.source == kept["source"] && unit.target == kept["target"]
  def writer_of(memory) = (@writers ||= {})[memory.id] ||= Memory::Writer.new(memory)

  def recreate(id, kept)
    entry = TranslationUnit.entry(kept["source"])
    TranslationUnit.insert!({ "id" => id, "source_hash" => TranslationUnit.hash_of(kept["source"]),
                         "words" => entry.signature, **kept })
    Memory::Index.put_text(id, kept["source"], kept["target"])
  end

  def add_part(memory, rows)
    builder = Memory::Index::Builder.new(memory, rows.first.first)
    rows.each do |id, _, source|
      @operation.checkpoint
      builder.add(id, TranslationUnit.entry(source))
    end
    builder.finish
  end
end
