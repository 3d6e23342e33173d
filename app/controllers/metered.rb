# How many requests and files somebody may send in an hour: GLOSSEMA_REQUESTS_AN_HOUR,
# GLOSSEMA_UPLOADS_AN_HOUR.
module Metered
  extend ActiveSupport::Concern

  HOUR = 1.hour

  included { before_action :meter_requests }

  private

  def meter_requests = meter("requests", 1)

  # Raises Refused when there were too many.
  def meter(what, number)
    return unless current_user

    most = Rails.configuration.x.an_hour.fetch(what)
    counted = self.class.cache_store.increment("#{what} #{current_user.id}", number, expires_in: HOUR).to_i
    raise Glossema::Refused.new("limit.#{what}", most: most) if counted > most
  end
end
