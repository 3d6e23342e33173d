# The index of a memory, made anew or finished after a crash.
module Memory::Indexing
  extend ActiveSupport::Concern

  # Makes the index anew from the units.
  def reindex
    index = Memory::Index.new(id)
    index.clear
    first = units.minimum(:id) or return
    builder = Memory::Index::Builder.new(id, first)
    units.in_batches(of: 200) do |batch|
      ShortTransaction.run do
        batch.each do |unit|
          entry = TranslationUnit.entry(unit.source)
          unit.update_columns(words: entry.signature)
          builder.add(unit.id, entry)
        end
      end
    end
    builder.finish
  end

  # Finishes the imports whose process is gone.
  def repair
    operations.where(kind: "unit_import", active: true).find_each do |import|
      next if import.elsewhere? || import.input["pid"].nil? || import.input["pid"] == Process.pid

      import.cancel
      import.execute
    end
  end
end
