# One table for all long work and for every change that can be undone, in place of a table for memories, one
# for termbases, one for projects and one for alignments.
class CreateOperations < ActiveRecord::Migration[7.2]
  MEMORY_KINDS = { "import" => "unit_import", "learn" => "unit_learning", "edit" => "unit_edit",
                   "bulk" => "unit_bulk_edit", "delete" => "unit_deletion", "merge" => "memory_merge",
                   "split" => "memory_split" }.freeze
  TERMBASE_KINDS = { "add" => "term_addition", "edit" => "term_edit", "delete" => "term_deletion",
                     "import" => "term_import", "look" => "term_search" }.freeze
  PROJECT_KINDS = { "rules" => "rules_change", "settings" => "file_settings", "times" => "cue_times",
                    "split" => "segment_split", "join" => "segment_join", "version" => "file_revision",
                    "put-back" => "file_reversion", "file-in" => "file_addition",
                    "file-out" => "file_removal",
                    "pretranslation" => "pretranslation", "replacement" => "replacement", "fixes" => "fixes",
                    "unified" => "unification" }.freeze
  # What the tags of segments written by a change began with.
  TAGS = %w[fixed unified replaced ahead].freeze

  def up
    create_table :operations do |t|
      t.string :kind, null: false
      t.string :subject_type
      t.bigint :subject_id
      t.integer :user_id, index: true
      t.string :state, null: false, default: "queued"
      t.boolean :active, null: false, default: false
      t.boolean :undoing, null: false, default: false
      t.string :weight, null: false, default: "ordinary"
      t.string :summary, null: false, default: ""
      t.integer :done, null: false, default: 0
      t.integer :total, null: false, default: 0
      t.string :phase
      t.string :message
      t.json :input, null: false, default: {}
      t.json :result, null: false, default: {}
      t.json :before, null: false, default: {}
      t.json :cursor, null: false, default: {}
      t.datetime :started_at
      t.datetime :finished_at
      t.datetime :undone_at
      t.timestamps
      t.index %i[subject_type subject_id]
      t.index %i[state weight]
    end
    copy_memory_changes
    copy_termbase_acts(start_of("termbase_acts"))
    copy_project_acts(start_of("project_acts"))
    copy_alignment_edits
    point_versions_to_operations
    %i[alignment_edits project_acts termbase_acts memory_changes].each { |table| drop_table table }
    # Not by Rails, which would make the table anew and, with foreign keys on, delete what names its rows.
    execute "ALTER TABLE projects DROP COLUMN check_run"
    execute "ALTER TABLE documents DROP COLUMN run"
    # Counts up with each change of its segments, so that of two at once the second one notices.
    add_column :documents, :segmentation_version, :integer, null: false, default: 0
    # Is it to be counted when somebody looks at it next?
    add_column :projects, :count_due, :boolean, null: false, default: false
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # By how much the numbers of a table move, so that they follow those that were copied before.
  def start_of(table)
    @starts ||= {}
    @starts[table] ||= select_value("SELECT IFNULL(MAX(id), 0) FROM operations").to_i
  end

  def kinds(map) = "CASE kind #{map.map { |old, new| "WHEN '#{old}' THEN '#{new}'" }.join(" ")} ELSE kind END"

  # They keep their numbers: units of a memory name them.
  def copy_memory_changes
    execute <<~SQL
      INSERT INTO operations (id, kind, subject_type, subject_id, user_id, state, undoing, weight, summary, done,
        total, message, input, result, undone_at, created_at, updated_at)
      SELECT id, #{kinds(MEMORY_KINDS)}, 'Memory', memory_id, user_id,
        CASE WHEN undone_at IS NOT NULL THEN 'undone'
             WHEN state IN ('waiting', 'running', 'undoing') THEN 'queued' ELSE state END,
        state = 'undoing', 'bulk', summary, done, total, json_extract(facts, '$.message'), options, facts, undone_at, created_at, updated_at
      FROM memory_changes ORDER BY id
    SQL
    rename_files("MemoryChange", 0)
  end

  def copy_termbase_acts(start)
    execute <<~SQL
      INSERT INTO operations (id, kind, subject_type, subject_id, user_id, state, weight, summary, message, input,
        result, undone_at, created_at, updated_at)
      SELECT id + #{start}, #{kinds(TERMBASE_KINDS)}, 'Termbase', termbase_id, user_id,
        CASE WHEN undone_at IS NOT NULL THEN 'undone'
             WHEN json_extract(facts, '$.state') IN ('reading', 'looking') THEN 'queued'
             WHEN json_extract(facts, '$.state') = 'failed' THEN 'failed' ELSE 'done' END,
        'bulk', IFNULL(summary, ''), json_extract(facts, '$.message'), facts, json_set(facts, '$.count', "count"), undone_at, created_at,
        updated_at
      FROM termbase_acts ORDER BY id
    SQL
    rename_files("TermbaseAct", start)
  end

  # What was only looked at ahead and never written changed nothing.
  def copy_project_acts(start)
    execute <<~SQL
      INSERT INTO operations (id, kind, subject_type, subject_id, user_id, state, summary, message, input, result,
        before, undone_at, created_at, updated_at)
      SELECT id + #{start},
        CASE WHEN kind = 'pretranslation' AND json_extract(facts, '$.state') IN ('looking', 'looked', 'failed')
             THEN 'pretranslation_preview' ELSE #{kinds(PROJECT_KINDS)} END,
        'Project', project_id, user_id,
        CASE WHEN undone_at IS NOT NULL THEN 'undone'
             WHEN json_extract(facts, '$.state') IN ('looking', 'writing') THEN 'cancelled'
             WHEN json_extract(facts, '$.state') = 'failed' THEN 'failed' ELSE 'done' END,
        name, json_extract(facts, '$.message'), facts, facts, before, undone_at, created_at, updated_at
      FROM project_acts ORDER BY id
    SQL
    rename_files("ProjectAct", start)
    execute "UPDATE active_storage_attachments SET name = 'output' " \
      "WHERE record_type = 'Operation' AND name = 'plan'"
    TAGS.each { |tag| rename_tags(tag, start) }
  end

  def rename_tags(tag, start)
    act = "json_extract(origin, '$.act')"
    %w[segments versions].each do |table|
      execute <<~SQL
        UPDATE #{table}
        SET origin = json_set(origin, '$.act', 'op-' || (CAST(substr(#{act}, #{tag.length + 2}) AS INTEGER) + #{start}))
        WHERE origin LIKE '%"#{tag}-%' AND #{act} LIKE '#{tag}-%'
      SQL
    end
  end

  def copy_alignment_edits
    execute <<~SQL
      INSERT INTO operations (kind, subject_type, subject_id, state, summary, before, undone_at, created_at,
        updated_at)
      SELECT 'alignment_edit', 'Alignment', alignment_id, CASE WHEN undone THEN 'undone' ELSE 'done' END, act,
        json_object('replaced', json(replaced)), CASE WHEN undone THEN updated_at END, created_at, updated_at
      FROM alignment_edits ORDER BY id
    SQL
  end

  def rename_files(type, start)
    execute <<~SQL
      UPDATE active_storage_attachments
      SET record_type = 'Operation', record_id = record_id + #{start},
        name = CASE name WHEN 'file' THEN 'files' ELSE name END
      WHERE record_type = '#{type}'
    SQL
  end

  def point_versions_to_operations
    start = start_of("termbase_acts")
    remove_foreign_key :memory_unit_versions, :memory_changes, column: :change_id
    rename_column :memory_unit_versions, :change_id, :operation_id
    remove_foreign_key :term_entry_versions, :termbase_acts
    rename_column :term_entry_versions, :termbase_act_id, :operation_id
    %i[termbase_act_id accepted_id].each do |column|
      remove_foreign_key :term_candidates, :termbase_acts, column: column
    end
    rename_column :term_candidates, :termbase_act_id, :operation_id
    execute "UPDATE term_entry_versions SET operation_id = operation_id + #{start}"
    execute "UPDATE term_candidates SET operation_id = operation_id + #{start}, " \
      "accepted_id = accepted_id + #{start}"
    add_foreign_key :memory_unit_versions, :operations
    add_foreign_key :term_entry_versions, :operations
    add_foreign_key :term_candidates, :operations
    add_foreign_key :term_candidates, :operations, column: :accepted_id
  end
end
