require_relative "../lib/server_lock"
# Servers of specs, which run side by side, have databases of their own (TEST_ENV_NUMBER).
unless ENV["RAILS_ENV"] == "test"
  ServerLock.hold(ENV.fetch("GLOSSEMA_DATA", File.expand_path("../storage", __dir__)))
end

# One process: web requests, the cable, and the queue's workers as threads.
threads 3, 5
port ENV.fetch("PORT", 3000), ENV.fetch("HOST", "127.0.0.1")
environment ENV.fetch("RAILS_ENV", "development")
plugin :solid_queue
solid_queue_mode :async
