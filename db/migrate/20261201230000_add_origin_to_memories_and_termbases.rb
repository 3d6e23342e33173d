# By what a memory or termbase is known again that comes along with packages more than once.
class AddOriginToMemoriesAndTermbases < ActiveRecord::Migration[7.2]
  def change
    %i[memories termbases].each do |table|
      add_column table, :origin, :string
      add_index table, %i[user_id origin]
    end
  end
end
