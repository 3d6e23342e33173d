# Memories and termbases given to colleagues.
class Shares < ActiveRecord::Migration[7.2]
  def change
    create_table :shares do |t|
      t.references :item, polymorphic: true, null: false
      t.references :owner, null: false, foreign_key: { to_table: :users, on_delete: :cascade }
      # None until somebody with this mail address has an account.
      t.references :user, foreign_key: { on_delete: :cascade }
      t.string :email, null: false
      # "read" or "write".
      t.string :may, null: false, default: "read"
      # The last day of writing; reading goes on.
      t.date :until_on
      # "offered", "accepted", "declined".
      t.string :state, null: false, default: "offered"
      # Of the invitation of somebody without an account.
      t.string :token, null: false, index: { unique: true }
      t.timestamps
      t.index %i[item_type item_id email], unique: true
    end
  end
end
