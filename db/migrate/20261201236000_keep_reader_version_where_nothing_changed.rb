# The second version of the readers reads messages of software files and charts of ODF otherwise; all other
# files are read as before, and need not be read again.
class KeepReaderVersionWhereNothingChanged < ActiveRecord::Migration[7.2]
  OTHERWISE = ["JSON", "YAML", "Java properties", "Apple strings", "INI", "ODT", "ODP", "ODS"].freeze

  def up
    formats = OTHERWISE.map { |name| connection.quote(name) }.join(", ")
    execute("UPDATE documents SET reader_version = 2 WHERE reader_version = 1 AND format NOT IN (#{formats})")
  end

  def down = nil
end
