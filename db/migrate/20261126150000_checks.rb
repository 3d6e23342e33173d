# What the checks found in each segment, kept until the segment changes; and what is let stand, with a reason.
class Checks < ActiveRecord::Migration[7.2]
  def change
    create_table :checked_segments do |t|
      t.references :segment, null: false, foreign_key: { on_delete: :cascade }, index: { unique: true }
      t.string :digest, null: false
      t.json :findings, null: false, default: []
    end
    create_table :let_stands do |t|
      t.references :project, null: false, foreign_key: true
      t.references :segment, foreign_key: { on_delete: :cascade }
      t.references :user, foreign_key: { on_delete: :nullify }
      t.string :author, null: false
      t.string :code, null: false
      # What it is about: the finding in this wording of source and target, or all like it in the project.
      t.string :digest, null: false
      t.text :reason, null: false, default: ""
      t.timestamps
    end
    add_index :let_stands, %i[project_id digest], unique: true
  end
end
