# Sends what is due to go to other servers: at once when something is to go, and by the clock what could not.
class SendOutJob < ApplicationJob
  limits_concurrency to: 1, key: "outgoing_requests", duration: 10.minutes

  def perform = OutgoingRequest.go
end
