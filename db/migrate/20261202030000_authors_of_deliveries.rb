# A delivery keeps the name of the user who made it, also in an archive that somebody else opens.
class AuthorsOfDeliveries < ActiveRecord::Migration[7.2]
  def change
    add_column :deliveries, :author, :string, null: false, default: ""
    reversible do |direction|
      direction.up do
        execute("UPDATE deliveries SET author = " \
          "COALESCE((SELECT name FROM users WHERE users.id = deliveries.user_id), '')")
      end
    end
  end
end
