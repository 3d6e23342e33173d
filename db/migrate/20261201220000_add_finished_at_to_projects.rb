# When a project was finished: it leaves Today and stays findable.
class AddFinishedAtToProjects < ActiveRecord::Migration[7.2]
  def change = add_column(:projects, :finished_at, :datetime)
end
