# Asks a client's server what it offers and what it took back; without one, all of them.
class AskServerJob < ApplicationJob
  limits_concurrency to: 1, key: ->(server = nil) { server || "all" }, duration: 5.minutes

  def perform(server = nil) = server ? server.ask : ClientServer.find_each(&:ask)
end
