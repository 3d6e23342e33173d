# Heavy operations, and those that read what users bring, are done by a process of their own: whoever types in
# the server's process notices nothing of them, what they used of memory is given back, and one that does not
# stop can be stopped.
module Operation::ChildProcess
  PROGRAM = Rails.root.join("bin/fork-server").to_s
  LOG = Rails.root.join("log/operations.log").to_s
  # From so many segments or entries on, so many units, and for files of so many bytes, it is worth its start.
  MANY = 300
  UNITS = 2000
  LARGE = 200_000
  # Seconds in which it should stop by itself once its operation is cancelled; in which the process that makes
  # the others is there.
  GRACE, BOOT = 1.5, 60
  EVERY = 0.25

  @lock = Mutex.new

  class << self
    # segments: or entries; bytes: of files.
    def worth?(segments: 0, units: 0, bytes: 0) = segments > MANY || units > UNITS || bytes > LARGE

    # Not where others do not see yet what is to be worked on.
    def possible? = !ApplicationRecord.connection.transaction_open?

    # Returns when the operation is out of hand.
    def run(operation)
      signal = attempt(operation)
      operation.reload
      return unless operation.active?

      # It was killed, by us, by its limits or by somebody else: what it left is cleared up here.
      operation.broken_off(signal) if operation.state == "running"
      operation.execute
    end

    # Has the process that makes the others started, so that nobody waits for it.
    def prepare = @lock.synchronize { server }

    private

    # Answers the signal that ended it, or 0.
    def attempt(operation)
      ActiveRecord::Base.connection_handler.clear_active_connections!
      connection, pid = begun(operation)
      watch(operation, connection, pid)
      connection.gets.to_i
    ensure
      connection&.close
    end

    # The connection to its process, and the number of that.
    def begun(operation)
      tries ||= 0
      connection = connect
      connection.puts(JSON.generate(operation: operation.id, limits: operation.limits))
      pid = Integer(connection.gets)
      [connection, pid]
    rescue SystemCallError, TypeError
      # The process that makes the others was killed just now: another one takes its place.
      connection&.close
      raise if (tries += 1) > 2

      sleep(EVERY)
      retry
    end

    # Kills it when it does not heed that its operation was cancelled.
    def watch(operation, connection, pid)
      cancelled_at = nil
      until connection.wait_readable(EVERY)
        next if Operation.where(id: operation.id).pick(:state) == "running"

        cancelled_at ||= now
        Process.kill("KILL", pid) if now - cancelled_at > GRACE && !clearing_up?(operation)
      end
    rescue Errno::ESRCH
      nil
    end

    def connect
      @lock.synchronize do
        path = server
        began = now
        begin
          UNIXSocket.new(path)
        rescue Errno::ENOENT, Errno::ECONNREFUSED
          raise if now - began > BOOT

          sleep(0.02)
          retry
        end
      end
    end

    # The path of its socket; it is started where it does not run.
    def server
      return @path if @pipe && !@pipe.closed? && running?(@pipe.pid)

      @path = File.join(Dir.mktmpdir("glossema"), "operations")
      @pipe = launch(@path)
      @path
    end

    def launch(path)
      IO.popen([GcSettings::ENVIRONMENT, RbConfig.ruby, "--yjit", PROGRAM, path], "w", err: [LOG, "a"])
    end

    def running?(pid) = Process.wait(pid, Process::WNOHANG).nil?

    def clearing_up?(operation) = Operation.where(id: operation.id).pick(:phase) == Operation::CLEARING

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
