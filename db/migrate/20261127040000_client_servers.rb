# The servers of clients, the projects they offer, and what came of deliveries there.
class ClientServers < ActiveRecord::Migration[7.2]
  def change
    create_table :client_servers do |t|
      t.references :user, null: false, foreign_key: true
      t.references :client, foreign_key: true
      t.string :name, :address, null: false
      t.text :key
      t.datetime :asked_at
      t.text :trouble
      t.timestamps
      t.index %i[user_id address], unique: true
    end
    create_table :server_projects do |t|
      t.references :client_server, null: false, foreign_key: true
      t.references :project, foreign_key: true, index: { unique: true }
      t.string :ref, null: false
      t.string :state, null: false, default: "offered"
      t.json :facts, null: false, default: {}
      t.text :reason
      t.timestamps
      t.index %i[client_server_id ref], unique: true
    end
    add_column :deliveries, :receipt, :json
  end
end
