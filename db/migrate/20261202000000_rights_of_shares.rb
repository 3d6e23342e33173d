# Rights of colleagues are view, add, edit and manage; who could write may edit.
class RightsOfShares < ActiveRecord::Migration[7.2]
  def up
    change_column_default :shares, :may, "view"
    execute("UPDATE shares SET may = CASE may WHEN 'write' THEN 'edit' ELSE 'view' END")
  end

  def down
    change_column_default :shares, :may, "read"
    execute("UPDATE shares SET may = CASE may WHEN 'view' THEN 'read' ELSE 'write' END")
  end
end
