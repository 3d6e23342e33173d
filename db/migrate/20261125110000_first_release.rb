# Everything that is kept: people, their projects, files and segments, memories with their index, what was put
# away. It took the place of the migrations before the first release.
class FirstRelease < ActiveRecord::Migration[7.2]
  def change
    create_table "active_storage_attachments" do |t|
      t.string "name", null: false
      t.string "record_type", null: false
      t.integer "record_id", null: false
      t.integer "blob_id", null: false
      t.datetime "created_at", null: false
      t.index ["blob_id"], name: "index_active_storage_attachments_on_blob_id"
      t.index ["record_type", "record_id", "name", "blob_id"], name: "index_attachments_uniqueness",
        unique: true
    end

    create_table "active_storage_blobs" do |t|
      t.string "key", null: false
      t.string "filename", null: false
      t.string "content_type"
      t.text "metadata"
      t.string "service_name", null: false
      t.bigint "byte_size", null: false
      t.string "checksum"
      t.datetime "created_at", null: false
      t.index ["key"], name: "index_active_storage_blobs_on_key", unique: true
    end

    create_table "active_storage_variant_records" do |t|
      t.integer "blob_id", null: false
      t.string "variation_digest", null: false
      t.index ["blob_id", "variation_digest"], name: "index_active_storage_variant_records_uniqueness",
        unique: true
    end

    create_table "attachments_of_memories" do |t|
      t.integer "project_id", null: false
      t.integer "memory_id", null: false
      t.integer "position", null: false
      t.string "learns", default: "never", null: false
      t.boolean "read_only", default: false, null: false
      t.integer "penalty", default: 0, null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["memory_id"], name: "index_attachments_of_memories_on_memory_id"
      t.index ["project_id", "memory_id"], name: "index_attachments_of_memories_on_project_id_and_memory_id",
        unique: true
      t.index ["project_id"], name: "index_attachments_of_memories_on_project_id"
    end

    create_table "clients" do |t|
      t.integer "user_id", null: false
      t.string "name", null: false
      t.string "code", null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["user_id", "name"], name: "index_clients_on_user_id_and_name", unique: true
      t.index ["user_id"], name: "index_clients_on_user_id"
    end

    create_table "delivered_files" do |t|
      t.integer "delivery_id", null: false
      t.integer "document_id", null: false
      t.string "name", null: false
      t.string "checksum", null: false
      t.integer "byte_size", null: false
      t.json "proof", null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["delivery_id"], name: "index_delivered_files_on_delivery_id"
      t.index ["document_id"], name: "index_delivered_files_on_document_id"
    end

    create_table "deliveries" do |t|
      t.integer "project_id", null: false
      t.integer "user_id", null: false
      t.integer "number", null: false
      t.json "unfinished", default: {}, null: false
      t.integer "learned", default: 0, null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["project_id"], name: "index_deliveries_on_project_id"
      t.index ["user_id"], name: "index_deliveries_on_user_id"
    end

    create_table "documents" do |t|
      t.integer "project_id", null: false
      t.integer "position", null: false
      t.string "name", null: false
      t.string "format"
      t.string "state", default: "waiting", null: false
      t.string "message"
      t.string "run"
      t.integer "done", default: 0, null: false
      t.integer "total", default: 0, null: false
      t.string "by", default: "sentence", null: false
      t.string "source_lang"
      t.json "options", default: {}, null: false
      t.json "breaks", default: {}, null: false
      t.json "facts", default: {}, null: false
      t.json "bands"
      t.integer "byte_size", default: 0, null: false
      t.string "checksum"
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.string "role", default: "current", null: false
      t.integer "replaces_id"
      t.json "hand", default: {}, null: false
      t.json "comparison"
      t.index ["project_id"], name: "index_documents_on_project_id"
    end

    create_table "kept_translations" do |t|
      t.integer "document_id", null: false
      t.string "unit", null: false
      t.text "source", null: false
      t.json "fields", default: {}, null: false
      t.json "versions", default: [], null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["document_id", "unit"], name: "index_kept_translations_on_document_id_and_unit"
      t.index ["document_id"], name: "index_kept_translations_on_document_id"
    end

    create_table "memories" do |t|
      t.integer "user_id"
      t.string "name", null: false
      t.text "description", default: "", null: false
      t.string "source_lang", null: false
      t.string "target_lang", null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.datetime "deleted_at"
      t.datetime "used_at"
      t.index ["user_id", "name"], name: "index_memories_on_user_id_and_name", unique: true,
        where: "deleted_at IS NULL"
      t.index ["user_id"], name: "index_memories_on_user_id"
    end

    create_table "memory_changes" do |t|
      t.integer "memory_id", null: false
      t.integer "user_id"
      t.string "kind", null: false
      t.string "summary", default: "", null: false
      t.string "state", default: "done", null: false
      t.integer "done", default: 0, null: false
      t.integer "total", default: 0, null: false
      t.json "facts", default: {}, null: false
      t.json "options", default: {}, null: false
      t.datetime "undone_at"
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["memory_id"], name: "index_memory_changes_on_memory_id"
      t.index ["user_id"], name: "index_memory_changes_on_user_id"
    end

    create_table "memory_unit_versions" do |t|
      t.integer "unit_id", null: false
      t.integer "change_id", null: false
      t.json "before"
      t.index ["change_id", "unit_id"], name: "index_memory_unit_versions_on_change_id_and_unit_id"
      t.index ["unit_id"], name: "index_memory_unit_versions_on_unit_id"
    end

    create_table "memory_units" do |t|
      t.integer "memory_id", null: false
      t.bigint "segment_id"
      t.text "source", null: false
      t.text "target", null: false
      t.string "author"
      t.string "client"
      t.string "subject"
      t.string "project"
      t.string "file"
      t.string "origin", default: "typed", null: false
      t.integer "used", default: 0, null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.bigint "source_hash", default: 0, null: false
      t.binary "words"
      t.string "changed_by"
      t.string "key"
      t.bigint "previous_hash"
      t.bigint "next_hash"
      t.json "codes"
      t.json "extra"
      t.integer "import_id"
      t.datetime "used_at"
      t.index ["memory_id", "source_hash"], name: "index_memory_units_on_memory_id_and_source_hash"
      t.index ["segment_id"], name: "index_memory_units_on_segment_id", where: "segment_id IS NOT NULL"
    end

    create_table "project_acts" do |t|
      t.integer "project_id", null: false
      t.integer "user_id"
      t.string "kind", null: false
      t.string "name", default: "", null: false
      t.json "facts", default: {}, null: false
      t.json "before", default: {}, null: false
      t.datetime "undone_at"
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["project_id"], name: "index_project_acts_on_project_id"
      t.index ["user_id"], name: "index_project_acts_on_user_id"
    end

    create_table "projects" do |t|
      t.integer "user_id", null: false
      t.integer "client_id"
      t.string "reference"
      t.string "name", default: "", null: false
      t.string "subject", default: "", null: false
      t.text "description", default: "", null: false
      t.string "source_lang"
      t.string "target_lang"
      t.datetime "due_at"
      t.datetime "begun_at"
      t.datetime "opened_at"
      t.bigint "last_segment_id"
      t.json "proposed", default: {}, null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.text "rules"
      t.datetime "put_away_at"
      t.index ["client_id"], name: "index_projects_on_client_id"
      t.index ["user_id"], name: "index_projects_on_user_id"
    end

    create_table "put_aways" do |t|
      t.integer "user_id", null: false
      t.string "kind", null: false
      t.string "name", null: false
      t.string "place"
      t.bigint "record_id"
      t.json "facts", default: {}, null: false
      t.datetime "restored_at"
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["kind", "record_id"], name: "index_put_aways_on_kind_and_record_id"
      t.index ["user_id"], name: "index_put_aways_on_user_id"
    end

    create_table "segments" do |t|
      t.integer "document_id", null: false
      t.integer "project_id", null: false
      t.integer "position", null: false
      t.string "key", null: false
      t.string "block", null: false
      t.string "path", null: false
      t.text "source", null: false
      t.string "source_key", null: false
      t.json "codes", default: [], null: false
      t.integer "words", null: false
      t.integer "characters", null: false
      t.text "target", default: "", null: false
      t.string "state", default: "untouched", null: false
      t.json "origin", default: {}, null: false
      t.boolean "marked", default: false, null: false
      t.integer "version", default: 0, null: false
      t.string "note"
      t.integer "limit"
      t.datetime "confirmed_at"
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.json "alternatives", default: [], null: false
      t.string "context"
      t.boolean "exempt", default: false, null: false
      t.index ["document_id", "position"], name: "index_segments_on_document_id_and_position", unique: true
      t.index ["project_id", "source_key"], name: "index_segments_on_project_id_and_source_key"
      t.index ["project_id"], name: "index_segments_on_project_id"
    end

    create_table "users" do |t|
      t.string "name", null: false
      t.string "email", null: false
      t.string "password_digest", null: false
      t.integer "words_per_hour", default: 350, null: false
      t.string "reference_pattern", default: "{client}-{yy}{nn}", null: false
      t.json "preferences", default: {}, null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.text "rules"
      t.string "session_mark", default: "", null: false
      t.index ["email"], name: "index_users_on_email", unique: true
    end

    create_table "versions" do |t|
      t.integer "segment_id", null: false
      t.integer "user_id"
      t.text "target", null: false
      t.string "state", null: false
      t.json "origin", default: {}, null: false
      t.datetime "created_at", null: false
      t.datetime "updated_at", null: false
      t.index ["segment_id"], name: "index_versions_on_segment_id"
      t.index ["user_id"], name: "index_versions_on_user_id"
    end

    add_foreign_key "active_storage_attachments", "active_storage_blobs", column: "blob_id"
    add_foreign_key "active_storage_variant_records", "active_storage_blobs", column: "blob_id"
    add_foreign_key "attachments_of_memories", "memories"
    add_foreign_key "attachments_of_memories", "projects"
    add_foreign_key "clients", "users"
    add_foreign_key "delivered_files", "deliveries"
    add_foreign_key "delivered_files", "documents"
    add_foreign_key "deliveries", "projects"
    add_foreign_key "deliveries", "users"
    add_foreign_key "documents", "projects"
    add_foreign_key "kept_translations", "documents"
    add_foreign_key "memories", "users"
    add_foreign_key "memory_changes", "memories"
    add_foreign_key "memory_changes", "users"
    add_foreign_key "memory_unit_versions", "memory_changes", column: "change_id"
    add_foreign_key "memory_units", "memories"
    add_foreign_key "project_acts", "projects"
    add_foreign_key "project_acts", "users"
    add_foreign_key "projects", "clients"
    add_foreign_key "projects", "users"
    add_foreign_key "put_aways", "users"
    add_foreign_key "segments", "documents"
    add_foreign_key "segments", "projects"
    add_foreign_key "versions", "segments"
    add_foreign_key "versions", "users"

    memory_index
  end

  private

  # Of units that share words with a text (see Memory::Index), and of the texts themselves.
  def memory_index
    create_table :memory_parts do |t|
      t.integer :memory_id, null: false
      t.integer :whole, null: false, default: 0
    end
    create_table :memory_postings do |t|
      t.binary :pairs, null: false
    end
    execute(<<~SQL)
      CREATE TABLE memory_fresh (
        memory_id INTEGER NOT NULL, gram INTEGER NOT NULL, class INTEGER NOT NULL, unit_id INTEGER NOT NULL,
        sketch INTEGER NOT NULL, PRIMARY KEY (memory_id, gram, class, unit_id)
      ) WITHOUT ROWID
    SQL
    execute(<<~SQL)
      CREATE VIRTUAL TABLE memory_texts
      USING fts5(source, target, content='', tokenize='unicode61 remove_diacritics 2')
    SQL
  end
end
