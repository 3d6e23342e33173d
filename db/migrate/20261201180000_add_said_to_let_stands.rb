# What a finding that is let stand says, whatever the language it is told in.
class AddSaidToLetStands < ActiveRecord::Migration[7.2]
  def change = add_column(:let_stands, :said, :text)
end
