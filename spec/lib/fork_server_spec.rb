# Real processes: one that forks, and its children.
RSpec.describe "The fork server" do
  # The signal that is said to have ended a child that does this.
  def signal_after(code)
    path = File.join(Dir.mktmpdir, "socket")
    program = "ForkServer.new(#{path.dump}) { |_| #{code} }.run"
    loaded = %w[fileutils ./lib/fault_told ./lib/fork_server].map { |name| "-r#{name}" }
    server = IO.popen([RbConfig.ruby, *loaded, "-e", program], "w", err: File::NULL)
    sleep(0.02) until File.exist?(path)
    connection = UNIXSocket.new(path)
    connection.puts("{}")
    connection.gets
    connection.gets.to_i
  ensure
    server.close
  end

  {
    "does its work" => [0, "1 + 1"],
    "raises" => [0, "raise 'fault'"],
    "is killed" => [9, "Process.kill(:KILL, Process.pid)"],
    "has no memory left" => [9, "raise NoMemoryError"],
    "is ended by Ruby for want of memory" => [9, "exit!(1)"]
  }.each do |name, (signal, code)|
    it "says how a child ended that #{name}" do
      expect(signal_after(code)).to eq(signal)
    end
  end
end
