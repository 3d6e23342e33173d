# Rounds of review: what went out to a reviser, and what came back, each change to be taken or left.
class Review < ActiveRecord::Migration[7.2]
  def change
    create_table :review_rounds do |t|
      t.references :project, null: false, foreign_key: true
      t.references :user, foreign_key: { on_delete: :nullify }
      t.integer :number, null: false
      t.string :reviser, null: false
      # By which a sheet that comes back finds its round.
      t.string :token, null: false, index: { unique: true }
      t.string :state, null: false, default: "out"
      t.json :options, null: false, default: {}
      # {segment id => its target when it went out}
      t.json :base, null: false, default: {}
      t.datetime :back_at
      t.datetime :closed_at
      t.timestamps
    end
    create_table :review_changes do |t|
      t.references :review_round, null: false, foreign_key: { on_delete: :cascade }
      t.references :segment, null: false, foreign_key: { on_delete: :cascade }
      t.text :before, null: false
      t.text :after, null: false
      t.string :author, null: false
      t.datetime :made_at
      t.string :kind, null: false
      # Of the text before, and how many of them are others now.
      t.integer :words, null: false, default: 0
      t.integer :changed_words, null: false, default: 0
      # Why it cannot be taken as it is, and the wording with the codes put back.
      t.string :refused
      t.text :mended
      t.string :decision, null: false, default: "open"
      t.timestamps
    end
    add_index :review_changes, %i[review_round_id segment_id], unique: true
  end
end
