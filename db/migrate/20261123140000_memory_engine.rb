# Memories for a million units: a compact index beside them (see MemoryIndex), all that an exchange file says
# of a unit, and every change to units kept so that it can be taken back.
class MemoryEngine < ActiveRecord::Migration[7.2]
  def up
    create_table :memory_changes do |table|
      table.belongs_to :memory, null: false, foreign_key: true
      table.belongs_to :user, foreign_key: true
      table.string :kind, null: false
      table.string :summary, default: "", null: false
      table.string :state, default: "done", null: false
      table.integer :done, default: 0, null: false
      table.integer :total, default: 0, null: false
      table.json :facts, default: {}, null: false
      table.json :options, default: {}, null: false
      table.datetime :undone_at
      table.timestamps
    end
    # What a unit was before a change; before is null for one the change made.
    create_table :memory_unit_versions do |table|
      table.integer :unit_id, null: false
      table.belongs_to :change, null: false, index: false, foreign_key: { to_table: :memory_changes }
      table.json :before
      table.index %i[change_id unit_id]
      table.index :unit_id
    end
    # A memory made on the command line before anybody signed up belongs to whoever signs up first.
    change_column_null :memories, :user_id, true
    # A repeat that is to read otherwise.
    add_column :segments, :exempt, :boolean, default: false, null: false
    change_table :memories, bulk: true do |table|
      table.datetime :deleted_at
      table.datetime :used_at
      table.remove_index %i[user_id name]
      table.index %i[user_id name], unique: true, where: "deleted_at IS NULL"
    end
    change_table :memory_units, bulk: true do |table|
      table.bigint :source_hash, default: 0, null: false
      table.binary :words
      table.string :changed_by
      table.string :key
      table.bigint :previous_hash
      table.bigint :next_hash
      table.json :codes
      table.json :extra
      table.integer :import_id
      table.datetime :used_at
    end
    move_units
    remove_index :memory_units, %i[memory_id source_key]
    change_table :memory_units, bulk: true do |table|
      table.remove :source_key, :weight, :previous, :next
      table.index %i[memory_id source_hash]
      # Most units of a large memory were imported and have no segment.
      table.remove_index %i[memory_id segment_id]
      table.remove_index :segment_id
      table.index :segment_id, where: "segment_id IS NOT NULL"
    end
    drop_table :memory_postings
    [Memory, MemoryUnit].each(&:reset_column_information)
    Memory.find_each do |memory|
      memory.reindex
      memory.units.pluck(:id, :source, :target).each { |row| MemoryIndex.put_text(*row) }
    end
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def move_units
    select_all("SELECT id, source_key, previous, next FROM memory_units").each do |row|
      hashes = row.values_at("source_key", "previous", "next").map { |key| key ? key[0, 15].hex : "NULL" }
      execute(
        "UPDATE memory_units SET source_hash = #{hashes[0]}, previous_hash = #{hashes[1]}, next_hash = " \
          "#{hashes[2]} WHERE id = #{row["id"].to_i}"
      )
    end
  end
end
