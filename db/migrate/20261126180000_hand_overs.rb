# What a project that came as a hand-over knows of where it came from.
class HandOvers < ActiveRecord::Migration[7.2]
  def change
    add_column :projects, :hand_over, :json
  end
end
