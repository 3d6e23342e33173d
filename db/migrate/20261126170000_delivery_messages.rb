# What was written to the client with a delivery.
class DeliveryMessages < ActiveRecord::Migration[7.2]
  def change
    add_column :deliveries, :message, :text, null: false, default: ""
  end
end
