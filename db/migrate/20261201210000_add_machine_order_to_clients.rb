# Which services of machine translation are asked first for a client, by language pair, and how many of their
# proposals are shown.
class AddMachineOrderToClients < ActiveRecord::Migration[7.2]
  def change
    add_column :clients, :machine_order, :json, default: {}, null: false
    add_column :clients, :machine_shown, :integer, default: 1, null: false
  end
end
