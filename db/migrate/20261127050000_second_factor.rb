# A second factor beside the password: its secret, when it was confirmed and used last, and codes for when the
# device is lost.
class SecondFactor < ActiveRecord::Migration[7.2]
  def change
    change_table :users, bulk: true do |t|
      t.text :factor_secret
      t.datetime :factor_since
      t.integer :factor_used_at, null: false, default: 0
      t.json :recovery_codes, null: false, default: []
    end
  end
end
