# A memory or termbase attached to a project: the user's own, or a shared one.
module AttachedItem
  extend ActiveSupport::Concern

  class_methods do
    # kind: "memory" or "termbase"; shares: those that count. A condition on the rows of the project’s owner.
    def reached(kind, shares)
      given = shares.where(item_type: kind.camelize)
        .where("shares.item_id = items.id AND shares.user_id = owners.user_id")
      <<~SQL.squish
        EXISTS (SELECT 1 FROM #{kind.tableize} items, projects owners
          WHERE items.id = #{table_name}.#{kind}_id AND owners.id = #{table_name}.project_id
          AND (items.user_id IS NULL OR items.user_id = owners.user_id OR EXISTS (#{given.to_sql})))
      SQL
    end
  end
end
