# Services of machine translation that she configured, what they gave (by text, so that nobody asks twice),
# and what was sent when to whom.
class MachineTranslation < ActiveRecord::Migration[7.2]
  def change
    create_table :machine_services do |t|
      t.references :user, null: false, foreign_key: true
      t.string :name, null: false
      t.string :address, null: false
      t.string :http_method, null: false, default: "post"
      t.json :headers, null: false, default: {}
      t.text :key
      t.text :request, null: false
      t.string :answer, null: false
      t.integer :batch, null: false, default: 20
      t.boolean :markup, null: false, default: true
      t.text :instructions, null: false, default: ""
      t.boolean :active, null: false, default: false
      t.timestamps
    end
    create_table :machine_answers do |t|
      t.references :machine_service, null: false, foreign_key: true
      t.string :digest, null: false
      t.text :target, null: false
      t.json :lost, null: false, default: []
      t.datetime :created_at, null: false
    end
    add_index :machine_answers, %i[machine_service_id digest], unique: true
    create_table :machine_requests do |t|
      t.references :machine_service, null: false, foreign_key: true
      t.references :project, foreign_key: { on_delete: :nullify }
      t.string :client
      t.integer :texts, null: false
      t.integer :characters, null: false
      t.string :outcome, null: false
      t.datetime :created_at, null: false
    end
  end
end
