# Records that are being made and are not to be seen yet: they look as if they had been deleted long ago, so
# that no list holds them, also not the Trash.
module Staging
  AT = Time.utc(2000).freeze

  class << self
    # The attribute that hides a record.
    def attribute(model) = model.column_names.include?("put_away_at") ? "put_away_at" : "deleted_at"

    def hidden(model) = { attribute(model) => AT }
    def hide(record) = record.tap { |one| one[attribute(one.class)] = AT }
    def hidden?(record) = record[attribute(record.class)] == AT

    # It is there from now on. at: when it was deleted, if it was.
    def reveal(record, at: nil, **attributes)
      record.update_columns(attribute(record.class) => at, **attributes)
    end
  end
end
