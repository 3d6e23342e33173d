# Two finished files aligned: their beads as they stand, and every act on them with the way back.
class Alignments < ActiveRecord::Migration[7.2]
  def change
    create_table :alignments do |t|
      t.references :user, null: false, foreign_key: true
      t.references :client, foreign_key: { on_delete: :nullify }
      t.references :memory, foreign_key: { on_delete: :nullify }
      # Whose older translation it is: it becomes a memory of the project by itself.
      t.references :project, foreign_key: { on_delete: :nullify }
      t.string :name, null: false
      t.string :subject, null: false, default: ""
      t.string :source_lang, null: false
      t.string :target_lang, null: false
      t.string :state, null: false, default: "waiting"
      t.string :message
      t.json :beads, null: false, default: []
      t.timestamps
    end
    create_table :alignment_edits do |t|
      t.references :alignment, null: false, foreign_key: { on_delete: :cascade }
      t.string :act, null: false
      # [{"at", "before" => beads, "after" => beads}, …] in the order in which they were done.
      t.json :replaced, null: false, default: []
      t.boolean :undone, null: false, default: false
      t.timestamps
    end
  end
end
