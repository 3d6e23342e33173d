# Postings carry a sketch of their text, and units the words and marks of the score: the index of memories is
# made anew.
class SketchesOfTexts < ActiveRecord::Migration[7.2]
  def up
    %w[memory_parts memory_postings memory_fresh].each { |table| drop_table(table, if_exists: true) }
    MemoryIndex.prepare
    Memory.reset_column_information
    MemoryUnit.reset_column_information
    Memory.find_each(&:reindex)
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
