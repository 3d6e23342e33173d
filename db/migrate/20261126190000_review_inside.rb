# Review inside: a reviser reads in Glossema, hers or a colleague's account, with remarks by kind and
# severity.
class ReviewInside < ActiveRecord::Migration[7.2]
  def change
    change_table :review_rounds, bulk: true do |t|
      t.string :way, null: false, default: "sheet"
      # A colleague who reads here, and what she may do.
      t.references :guest, foreign_key: { to_table: :users, on_delete: :nullify }
      t.string :may, null: false, default: "change"
    end
    create_table :review_passages do |t|
      t.references :review_round, null: false, foreign_key: { on_delete: :cascade }
      t.references :segment, null: false, foreign_key: { on_delete: :cascade }
      # What is being written and was not kept yet; the target that was found right, and when.
      t.text :draft
      t.text :target
      t.datetime :read_at
      t.timestamps
    end
    add_index :review_passages, %i[review_round_id segment_id], unique: true
    change_table :notes, bulk: true do |t|
      t.references :review_round, foreign_key: { on_delete: :nullify }
      t.string :error_type
      t.string :severity
      # Where in the text: {"side", "from", "to", "text"}
      t.json :spot
    end
  end
end
