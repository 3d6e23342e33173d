# Termbases: concept entries as they are exchanged, their terms laid out for search, what was done to them,
# and which projects use them.
class Termbases < ActiveRecord::Migration[7.2]
  def change
    create_table :termbases do |t|
      t.references :user, null: false, foreign_key: true
      t.references :client, foreign_key: true
      t.string :name, null: false
      t.text :description, null: false, default: ""
      # What a TBX file said around its entries, to be written again.
      t.json :head, null: false, default: {}
      # Counts up with each change, so that what is held in memory can follow.
      t.integer :revision, null: false, default: 0
      t.datetime :deleted_at
      t.timestamps
    end

    create_table :term_entries do |t|
      t.references :termbase, null: false, foreign_key: true
      # Glossema::Terms::Entry#to_data
      t.json :data, null: false
      t.string :subject
      t.string :author
      t.string :changed_by
      t.integer :revision, null: false, default: 0
      t.datetime :deleted_at
      t.timestamps
      t.index %i[termbase_id revision]
      t.index %i[termbase_id subject]
    end

    create_table :terms do |t|
      t.references :term_entry, null: false, foreign_key: true, index: true
      t.references :termbase, null: false, foreign_key: true, index: false
      t.string :lang, null: false
      t.string :text, null: false
      # As it is compared: Glossema::Terms::Alike.fold
      t.string :folded, null: false
      t.string :status
      t.boolean :forbidden, null: false, default: false
      t.index %i[termbase_id lang folded]
    end

    create_table :termbase_acts do |t|
      t.references :termbase, null: false, foreign_key: true
      t.references :user, foreign_key: true
      t.string :kind, null: false
      t.string :summary
      t.integer :count, null: false, default: 0
      t.json :facts, null: false, default: {}
      t.datetime :undone_at
      t.timestamps
    end

    # How an entry was before an act; nothing where the act made it.
    create_table :term_entry_versions do |t|
      t.references :termbase_act, null: false, foreign_key: true
      t.references :term_entry, null: false, foreign_key: true
      t.json :data
      t.boolean :deleted, null: false, default: false
    end

    create_table :attached_termbases do |t|
      t.references :project, null: false, foreign_key: true
      t.references :termbase, null: false, foreign_key: true
      t.integer :position, null: false
      # New terms go there; checks use it.
      t.boolean :adds, null: false, default: true
      t.boolean :checks, null: false, default: true
      t.boolean :read_only, null: false, default: false
      t.timestamps
      t.index %i[project_id termbase_id], unique: true
    end

    # As memories are kept: [{termbase_id, adds, checks, read_only} …] that new projects of a client get.
    add_column :clients, :termbases, :json, null: false, default: []
  end
end
