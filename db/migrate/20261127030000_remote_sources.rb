# Memories and termbases on other servers: where they are, what they answered, what is on its way to them; and
# keys by which others reach hers.
class RemoteSources < ActiveRecord::Migration[7.2]
  def change
    create_table :remote_sources do |t|
      t.references :item, polymorphic: true, null: false, index: { unique: true }
      t.references :user, null: false, foreign_key: true
      t.string :address, :ref, null: false
      t.text :key
      t.json :facts, null: false, default: {}
      t.boolean :writes, null: false, default: false
      t.datetime :tested_at
      t.timestamps
    end
    create_table :remote_answers do |t|
      t.references :remote_source, null: false, foreign_key: true, index: false
      t.string :digest, null: false
      t.json :answer, null: false
      t.datetime :created_at, null: false, index: true
      t.index %i[remote_source_id digest], unique: true
    end
    create_table :remote_keys do |t|
      t.references :item, polymorphic: true, null: false
      t.references :user, null: false, foreign_key: true
      t.string :name, :digest, :ending, null: false
      t.string :may, null: false, default: "read"
      t.integer :per_minute, null: false, default: 600
      t.integer :asked, null: false, default: 0
      t.date :until_on
      t.datetime :used_at
      t.timestamps
      t.index :digest, unique: true
    end
    create_table :sendings do |t|
      t.references :user, null: false, foreign_key: true
      t.references :about, polymorphic: true, null: false
      t.string :uid, null: false, index: { unique: true }
      t.json :body, null: false, default: {}
      t.integer :tries, null: false, default: 0
      t.string :state, null: false, default: "waiting"
      t.text :trouble
      t.datetime :due_at, null: false
      t.timestamps
      t.index %i[state due_at]
    end
    add_column :memory_units, :outside_id, :string
    add_index :memory_units, %i[memory_id outside_id], where: "outside_id IS NOT NULL"
  end
end
