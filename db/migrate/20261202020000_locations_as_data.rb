# The location of a segment is stored as data instead of English text.
class LocationsAsData < ActiveRecord::Migration[7.2]
  CUES = "path LIKE 'cue %'".freeze

  class Segment < ActiveRecord::Base
    self.table_name = "segments"
  end

  def up
    add_column :segments, :location, :json, null: false, default: {}
    execute("UPDATE segments SET location = json_object('kind', 'name', 'name', path)")
    Segment.reset_column_information
    Segment.where(CUES).select(:id, :path).find_each do |row|
      Segment.where(id: row.id).update_all(location: Glossema::Location.parse(row.path))
    end
    execute("ALTER TABLE segments DROP COLUMN path")
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
