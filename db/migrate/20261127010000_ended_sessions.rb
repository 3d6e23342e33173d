# Sessions that were signed out: a cookie that is still on its way brings none of them back.
class EndedSessions < ActiveRecord::Migration[7.2]
  def change
    create_table :ended_sessions do |t|
      t.string :token, null: false, index: { unique: true }
      t.datetime :created_at, null: false, index: true
    end
  end
end
