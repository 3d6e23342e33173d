# How long others would wait for the database: the longest transaction, and the longest statement that writes.
module LockTimes
  Held = Struct.new(:seconds, :what)
  # What takes longer than this is told, though another program may have been in the way.
  WAITED = 1.0
  WRITES = /\A\s*(INSERT|UPDATE|DELETE|REPLACE)/i

  # Seconds of the processor that counting so far takes on a machine that has it to itself.
  COUNTED, USUAL, SLOW = 1_000_000, 0.05, 1.5

  # The longest that the write lock is held while the block runs: on a slow machine as it would be on a usual
  # one, and where the host gives its time to others as long as it was computed.
  def longest_lock(&)
    events = []
    note = ->(event, what) { events << [event.duration / 1000, event.cpu_time / 1000, what] }
    transactions = ->(event) { note[event, "a transaction"] }
    statements = ->(event) { note[event, event.payload[:sql][0, 200]] if event.payload[:sql].match?(WRITES) }
    before = slowness
    ActiveSupport::Notifications.subscribed(transactions, "transaction.active_record") do
      ActiveSupport::Notifications.subscribed(statements, "sql.active_record", &)
    end
    slower = [before, slowness].max
    events.map { |seconds, computed, what| Held.new(lasted(seconds, computed, slower), what) }
      .max_by(&:seconds) || Held.new(0.0, nil)
  end

  private

  # On a machine that does other things as well, no more than twice what it computed.
  def lasted(seconds, computed, slower)
    return seconds if seconds > WAITED && slower < SLOW

    [seconds, computed * 2].min / slower
  end

  # How much longer something takes here and now than it usually does, by the clock on the wall, the worst of
  # five times; 1 at least.
  def slowness
    took = Array.new(5) {
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      COUNTED.times { |number| number + 1 }
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
    }
    [took.max / USUAL, 1].max
  end
end
