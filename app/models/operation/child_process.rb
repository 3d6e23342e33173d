# Heavy operations are done by a process of their own: whoever types in the server's process notices nothing
# of them, what they used of memory is given back, and one that does not stop can be stopped.
module Operation::ChildProcess
  PROGRAM = Rails.root.join("bin/run-operation").to_s
  LOG = Rails.root.join("log/operations.log").to_s
  # From so many segments or entries on, so many units, and for files of so many bytes, it is worth its start.
  MANY = 300
  UNITS = 2000
  LARGE = 200_000
  # Seconds in which it should stop by itself once its operation is cancelled.
  GRACE = 1.5
  EVERY = 0.25

  class << self
    # segments: or entries; bytes: of files.
    def worth?(segments: 0, units: 0, bytes: 0) = segments > MANY || units > UNITS || bytes > LARGE

    # Not where others do not see yet what is to be worked on.
    def possible? = !ApplicationRecord.connection.transaction_open?

    # Returns when the operation is out of hand.
    def run(operation)
      attempt(operation)
      operation.reload
      return unless operation.active?

      # It was killed, by us or by somebody else: what it left is cleared up here.
      operation.broken_off if operation.state == "running"
      operation.execute
    end

    private

    def attempt(operation)
      ActiveRecord::Base.connection_handler.clear_active_connections!
      IO.popen([GcSettings::ENVIRONMENT, RbConfig.ruby, "--yjit", PROGRAM, operation.id.to_s], "r+",
        err: [LOG, "a"]) do |pipe|
        watch(operation, pipe)
        pipe.read
      end
    end

    # Kills it when it does not heed that its operation was cancelled.
    def watch(operation, pipe)
      cancelled_at = nil
      until pipe.wait_readable(EVERY)
        next if Operation.where(id: operation.id).pick(:state) == "running"

        cancelled_at ||= now
        Process.kill("KILL", pipe.pid) if now - cancelled_at > GRACE && !clearing_up?(operation)
      end
    rescue Errno::ESRCH
      nil
    end

    def clearing_up?(operation) = Operation.where(id: operation.id).pick(:phase) == Operation::CLEARING

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
