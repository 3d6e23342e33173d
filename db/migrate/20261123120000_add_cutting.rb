# Rules of her own, what was cut by hand, other translations a file offers, and files that replace others.
class AddCutting < ActiveRecord::Migration[7.2]
  def change
    # Active Storage looks here whenever it throws a file away.
    create_table :active_storage_variant_records do |table|
      table.belongs_to :blob, null: false, index: false
      table.string :variation_digest, null: false
      table.index %i[blob_id variation_digest],
        name: "index_active_storage_variant_records_uniqueness",
        unique: true
      table.foreign_key :active_storage_blobs, column: :blob_id
    end
    add_column :users, :rules, :text
    add_column :projects, :rules, :text
    change_table :documents, bulk: true do |table|
      table.string :role, default: "current", null: false
      table.integer :replaces_id
      table.json :hand, default: {}, null: false
      table.json :comparison
    end
    change_table :segments, bulk: true do |table|
      table.json :alternatives, default: [], null: false
      table.string :context
    end
  end
end
