# A process that has loaded the application and does nothing but make children of itself: each begins at once,
# does one piece of work within its limits, and gives back all it used. It has no threads and no open database
# when it forks. Whoever wants work done connects to its socket and sends one line of JSON; the answers are
# lines too: the number of the child's process, and when it has ended the signal that ended it, or 0.
require "json"
require "socket"

class ForkServer
  # path: of the socket; the block does what was asked, a Hash, in a process of its own.
  def initialize(path, &work)
    @path, @work, @children = path, work, {}
  end

  # Until standard input ends, as it does with the process that started this one.
  def run
    @server = UNIXServer.new(@path)
    @ended, signal = IO.pipe
    trap(:CHLD) { signal.write_nonblock(".", exception: false) }
    # Ctrl C in a terminal is meant for the server, which ends this one.
    trap(:INT, "IGNORE")
    loop { serve }
  ensure
    FileUtils.rm_f(@path)
  end

  private

  def serve
    ready, = IO.select([$stdin, @server, @ended])
    exit!(0) if ready.include?($stdin)
    return accept if ready.include?(@server)

    @ended.read_nonblock(100, exception: false)
    reap
  end

  def accept
    connection = @server.accept
    asked = JSON.parse(connection.gets.to_s)
    pid = fork { child(connection, asked) }
    @children[pid] = connection
    connection.puts(pid)
  rescue JSON::ParserError, SystemCallError
    connection&.close
  end

  def reap
    while (pid, status = Process.wait2(-1, Process::WNOHANG)) && pid
      connection = @children.delete(pid) or next
      report(connection, signal_of(status))
    end
  rescue Errno::ECHILD
    nil
  end

  # Without memory for NoMemoryError, Ruby exits with a status of its own; children exit with 0 otherwise.
  def signal_of(status) = status.termsig || (status.success? ? 0 : Signal.list.fetch("KILL"))

  # Whoever asked may be gone.
  def report(connection, signal)
    connection.puts(signal)
  rescue SystemCallError
    nil
  ensure
    connection.close
  end

  def child(connection, asked)
    @server.close
    trap(:CHLD, "DEFAULT")
    limit(asked["limits"].to_h)
    # When whoever asked is gone, so is this process.
    Thread.new do
      connection.read
      exit!(1)
    end
    @work.call(asked)
  rescue NoMemoryError
    # Without memory nothing can be said but this.
    Process.kill(:KILL, Process.pid)
  rescue Exception => e # rubocop:disable Lint/RescueException
    warn(FaultTold.describe(e))
  ensure
    exit!(0)
  end

  # {"CPU" => seconds, "AS" => bytes}, as setrlimit calls them; no dumps of memory are left behind.
  def limit(limits)
    Process.setrlimit(:CORE, 0)
    limits.each { |name, most| Process.setrlimit(name, most, most) }
  end
end
