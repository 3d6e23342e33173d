# How many texts came for those that were sent.
class AddGivenToMachineRequests < ActiveRecord::Migration[7.2]
  def change
    add_column :machine_requests, :given, :integer
    reversible do |direction|
      direction.up do
        execute "UPDATE machine_requests SET given = CASE WHEN outcome = 'ok' THEN texts ELSE 0 END"
      end
    end
  end
end
