# How far an alignment is while it is computed.
class ProgressOfAlignments < ActiveRecord::Migration[7.2]
  def change
    # In percent.
    add_column :alignments, :progress, :integer, null: false, default: 0
  end
end
