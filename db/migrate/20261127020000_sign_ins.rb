# The sessions of people, one by one: to be told and ended. They take the place of the list of ended ones.
class SignIns < ActiveRecord::Migration[7.2]
  def change
    create_table :sign_ins do |t|
      t.references :user, null: false, foreign_key: true
      t.string :token, null: false, index: { unique: true }
      t.string :agent, null: false, default: ""
      t.string :address, null: false, default: ""
      t.datetime :used_at, null: false, index: true
      t.timestamps
    end
    drop_table :ended_sessions do |t|
      t.string :token, null: false, index: { unique: true }
      t.datetime :created_at, null: false, index: true
    end
    remove_column :users, :session_mark, :string, null: false, default: ""
  end
end
