# Sends what is due to go to other servers: at once when something is to go, and by the clock what could not.
class SendOutJob < ApplicationJob
  limits_concurrency to: 1, key: "sendings", duration: 10.minutes

  def perform = Sending.go
end
