# What was put away and can be brought back, what was done to a project and can be taken back, and the
# translations that a new cut of the text has no place for.
class NothingLost < ActiveRecord::Migration[7.2]
  def change
    add_column :projects, :put_away_at, :datetime
    add_column :users, :session_mark, :string, null: false, default: ""

    create_table :put_aways do |t|
      t.references :user, null: false, foreign_key: true
      t.string :kind, null: false
      t.string :name, null: false
      t.string :place
      t.bigint :record_id
      t.json :facts, null: false, default: {}
      t.datetime :restored_at
      t.timestamps
      t.index %i[kind record_id]
    end

    create_table :project_acts do |t|
      t.references :project, null: false, foreign_key: true
      t.references :user, foreign_key: true
      t.string :kind, null: false
      t.string :name, null: false, default: ""
      t.json :facts, null: false, default: {}
      t.json :before, null: false, default: {}
      t.datetime :undone_at
      t.timestamps
    end

    create_table :kept_translations do |t|
      t.references :document, null: false, foreign_key: true
      t.string :unit, null: false
      t.text :source, null: false
      t.json :fields, null: false, default: {}
      t.json :versions, null: false, default: []
      t.timestamps
      t.index %i[document_id unit]
    end
  end
end
