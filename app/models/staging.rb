# Records that are being made and are not to be seen yet: they look as if they had been deleted long ago, so
# that no list holds them, also not the Trash.
module Staging
  AT = Time.utc(2000).freeze
  HIDDEN = { deleted_at: AT }.freeze

  class << self
    def hide(record) = record.tap { |one| one.deleted_at = AT }
    def hidden?(record) = record.deleted_at == AT

    # It is there from now on. at: when it was deleted, if it was.
    def reveal(record, at: nil, **attributes) = record.update_columns(deleted_at: at, **attributes)
  end
end
