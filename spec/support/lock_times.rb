# How long others would wait for the database: the longest transaction, and the longest statement that writes.
module LockTimes
  Held = Struct.new(:seconds, :what)
  # What takes longer than this is told, though another program may have been in the way.
  WAITED = 1.0
  WRITES = /\A\s*(INSERT|UPDATE|DELETE|REPLACE)/i

  # The longest that the write lock is held while the block runs.
  def longest_lock(&)
    longest = Held.new(0.0, nil)
    note = lambda do |event, what|
      seconds = lasted(event)
      longest = Held.new(seconds, what) if seconds > longest.seconds
    end
    transactions = ->(event) { note[event, "a transaction"] }
    statements = ->(event) { note[event, event.payload[:sql][0, 200]] if event.payload[:sql].match?(WRITES) }
    ActiveSupport::Notifications.subscribed(transactions, "transaction.active_record") do
      ActiveSupport::Notifications.subscribed(statements, "sql.active_record", &)
    end
    longest
  end

  private

  # On a machine that does other things as well, no more than twice what it computed.
  def lasted(event)
    seconds = event.duration / 1000
    seconds > WAITED ? seconds : [seconds, event.cpu_time / 1000 * 2].min
  end
end
