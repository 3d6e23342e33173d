# Terms found in texts and waiting for a decision: taken into the termbase, refused for good, or put off.
class TermCandidates < ActiveRecord::Migration[7.2]
  def change
    create_table :term_candidates do |t|
      t.references :termbase, null: false, foreign_key: true
      t.references :termbase_act, null: false, foreign_key: true
      t.references :accepted, foreign_key: { to_table: :termbase_acts }
      t.string :lang, null: false
      t.string :target_lang
      t.string :text, null: false
      t.string :folded, null: false
      t.string :translation
      t.integer :count, null: false
      t.float :score, null: false
      t.json :examples, null: false, default: []
      t.string :state, null: false, default: "waiting"
      t.timestamps
    end
    add_index :term_candidates, %i[termbase_id lang folded], unique: true
  end
end
