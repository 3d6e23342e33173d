# A Glossema whose code is in memory already: it forks a server for each line it reads, so that a new one is
# there within a second or two after the old one was killed. Prints the process of each on a line of its own;
# each is the head of a process group. Nothing of a killed server lives on here: servers open the data.
ENV["RAILS_ENV"] ||= "production"
require_relative "../config/environment"
require "puma/cli"
require_relative "../lib/fork_server"
Rails.application.eager_load!
ActiveRecord::Base.connection_handler.clear_all_connections!

# So is the process that makes those of operations: a copy of the server's.
def (Operation::ChildProcess).launch(path)
  IO.popen("-", "w") || begin
    Process.setpriority(Process::PRIO_PROCESS, 0, 5)
    # It outlives a killed server by a moment, and must not hold its lock then.
    ObjectSpace.each_object(File) { |file| file.close if !file.closed? && file.path.end_with?(ServerLock::FILE) }
    ForkServer.new(path) { |asked| Operation.find(asked["operation"]).execute }.run
  end
end

$stdout.sync = true
Signal.trap("CHLD", "IGNORE")

while $stdin.gets
  server = fork do
    Process.setpgid(0, 0)
    Signal.trap("CHLD", "DEFAULT")
    $stdin.reopen(File::NULL)
    $stdout.reopen(File::NULL)
    Puma::CLI.new(["-C", "config/puma.rb", "--quiet", "config.ru"]).run
  end
  puts server
end
