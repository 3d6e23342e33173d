# Tables and columns get the names of docs/glossary.md. Archives keep the names that they had (ProjectArchive::PARTS).
class RenameAfterTheGlossary < ActiveRecord::Migration[7.2]
  TABLES = {
    "put_aways" => "trash_items", "let_stands" => "ignored_findings",
    "kept_translations" => "detached_translations", "sendings" => "outgoing_requests",
    "own_words" => "user_words", "memory_units" => "translation_units",
    "memory_unit_versions" => "translation_unit_versions"
  }.freeze
  COLUMNS = { "put_away_at" => "deleted_at" }.freeze

  def up
    TABLES.each { |old, new| rename_table(old, new) }
    rename_columns(COLUMNS)
    execute("UPDATE documents SET role = 'deleted' WHERE role = 'put-away'")
  end

  def down
    TABLES.each { |old, new| rename_table(new, old) }
    %w[projects clients].each { |table| rename_column(table, "deleted_at", "put_away_at") }
    execute("UPDATE documents SET role = 'put-away' WHERE role = 'deleted'")
  end

  private

  def rename_columns(names)
    tables.each do |table|
      names.each { |old, new| rename_column(table, old, new) if column_exists?(table, old) }
    end
  end
end
