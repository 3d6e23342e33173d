# Copies what the log of a database holds into the database itself, every second, so that no request has to
# (config/initializers/sqlite.rb). By a connection of its own, without waiting for anybody.
module Checkpointing
  EVERY = 1.0
  # Logs smaller than so many bytes are left as they are.
  FROM = 2 << 20

  class << self
    # path: of the database.
    def start(path)
      @start ||= Thread.new do
        Thread.current.name = "checkpointing"
        database = SQLite3::Database.new(path)
        loop do
          sleep(EVERY)
          checkpoint(database, path)
        end
      end
    end

    private

    def checkpoint(database, path)
      log = "#{path}-wal"
      database.execute("PRAGMA wal_checkpoint(PASSIVE)") if File.exist?(log) && File.size(log) > FROM
    rescue SQLite3::Exception => e
      Rails.logger.warn("The log of the database was not copied: #{e.message}")
    end
  end
end
