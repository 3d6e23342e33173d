# A memory or termbase that goes along with packages: whoever gets it again knows it by its origin.
module Travelling
  extend ActiveSupport::Concern

  # Its origin, made when it is first asked for.
  def origin_id
    update_columns(origin: SecureRandom.uuid) if origin.blank?
    origin
  end
end
