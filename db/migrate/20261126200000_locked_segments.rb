# Of a share of somebody else's text: segments that are there to be read only.
class LockedSegments < ActiveRecord::Migration[7.2]
  def change
    add_column :segments, :locked, :boolean, null: false, default: false
  end
end
