# The tables of an archive of an earlier version, which had one for the changes of memories, one for those of
# termbases and one for those of projects, as those of today.
class ProjectArchive::Earlier
  MIGRATION = Rails.root.join("db/migrate/20261201090000_create_operations.rb").to_s
  # {table => [kind of subject, its column, {kind then => kind now}]}
  def self.tables
    require MIGRATION unless defined?(CreateOperations)
    { "memory_changes" => ["Memory", "memory_id", CreateOperations::MEMORY_KINDS],
      "termbase_acts" => ["Termbase", "termbase_id", CreateOperations::TERMBASE_KINDS],
      "project_acts" => ["Project", "project_id", CreateOperations::PROJECT_KINDS] }
  end

  # {column then => table whose numbers it held}
  COLUMNS = { "change_id" => "memory_changes", "import_id" => "memory_changes",
              "termbase_act_id" => "termbase_acts", "accepted_id" => "termbase_acts" }.freeze
  # What tags began with then: all of them of project_acts.
  TAGS = %w[fixed unified replaced ahead].freeze

  def initialize(archive)
    @archive = archive
  end

  def stored(table)
    return operations if table == "operations"

    @archive.stored(table).map { |row| with_todays_columns(row) }
  end

  def key_of(word, id) = TAGS.include?(word) ? "project_acts #{id}" : id

  private

  def operations
    self.class.tables.flat_map do |table, (type, column, kinds)|
      @archive.stored(table).map { |row| operation(table, row, type, row[column], kinds) }
    end
  end

  # Numbers of three tables are told apart by their names.
  def operation(table, row, type, subject, kinds)
    facts = row["facts"] || "{}"
    state = row["undone_at"] ? "undone" : "done"
    { "id" => "#{table} #{row["id"]}", "kind" => kinds.fetch(row["kind"], row["kind"]),
      "subject_type" => type, "subject_id" => subject, "user_id" => row["user_id"], "state" => state,
      "summary" => (row["summary"] || row["name"]).to_s, "done" => row["done"].to_i,
      "total" => row["total"].to_i,
      "input" => row["options"] || facts, "result" => facts, "before" => row["before"] || "{}",
      **row.slice("undone_at", "created_at", "updated_at") }
  end

  def with_todays_columns(row)
    named = COLUMNS.keys & row.keys
    renamed = named.to_h do |column|
      today = %w[change_id termbase_act_id].include?(column) ? "operation_id" : column
      [today, row[column] && "#{COLUMNS[column]} #{row[column]}"]
    end
    row.except(*named).merge(renamed)
  end
end
