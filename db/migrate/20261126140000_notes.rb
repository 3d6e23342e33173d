# Notes on segments and files, and questions to the client among them; what a service of machine translation
# can, and what it costs; what an untouched segment begins with, by client.
class Notes < ActiveRecord::Migration[7.2]
  def change
    create_table :notes do |t|
      t.references :project, null: false, foreign_key: true
      t.references :document, foreign_key: { on_delete: :nullify }
      t.references :segment, foreign_key: { on_delete: :nullify }
      t.references :user, foreign_key: { on_delete: :nullify }
      t.string :author, null: false
      t.string :kind, null: false, default: "note"
      t.text :text, null: false
      t.text :answer, null: false, default: ""
      t.string :answered_by
      t.datetime :answered_at
      t.datetime :settled_at
      # The text it is about and its place, should the segment be cut anew.
      t.text :source
      t.string :unit
      t.datetime :deleted_at
      t.timestamps
    end
    add_column :clients, :on_open, :string
    add_column :machine_services, :languages, :json, null: false, default: []
    add_column :machine_services, :price, :decimal, precision: 10, scale: 4
    add_column :machine_services, :currency, :string, null: false, default: "EUR"
    add_column :machine_requests, :cost, :decimal, precision: 12, scale: 6
    add_column :machine_requests, :currency, :string
  end
end
