# Glossema as a user starts it, in a process of its own that can be killed, with its data on a small disk that
# can be filled.
require "net/http"
require "sqlite3"

class OwnServer
  PORT = 3197
  SITE = "http://127.0.0.1:#{PORT}".freeze
  SIZE = "48m".freeze

  attr_reader :data

  def initialize
    @data = Dir.mktmpdir("own-server")
    mounted = system("mount", "-t", "tmpfs", "-o", "size=#{SIZE}", "tmpfs", data)
    raise "A small disk could not be mounted at #{data}." unless mounted
  end

  def start
    environment = { "GLOSSEMA_DATA" => data, "PORT" => PORT.to_s, "RAILS_ENV" => nil, "NODE_ENV" => nil }
    command = Rails.root.join("bin/start").to_s
    Bundler.with_unbundled_env do
      @pid = spawn(environment, command, "--empty", pgroup: true, out: File::NULL, err: File::NULL)
    end
    240.times { up? ? return : sleep(0.5) }
    raise "#{command} did not start within two minutes."
  end

  # As a crash ends it.
  def kill
    return unless @pid

    Process.kill("KILL", -@pid)
    Process.wait(@pid)
    @pid = nil
  end

  # Leaves no room on the disk; the block's end gives it back.
  def full
    filler = File.join(data, "filler")
    File.open(filler, "wb") { |file| loop { file.write("\0" * 4096) } }
  rescue Errno::ENOSPC
    yield
  ensure
    FileUtils.rm_f(filler)
  end

  # The target of a segment and its state, as the disk has them.
  def on_disk(position)
    database = SQLite3::Database.new(File.join(data, "glossema.sqlite3"), readonly: true)
    database.execute("SELECT target, state FROM segments ORDER BY position")[position]
  ensure
    database&.close
  end

  def clear
    kill
    system("umount", "-l", data)
    FileUtils.rm_rf(data)
  end

  private

  def up?
    Net::HTTP.get_response(URI("#{SITE}/up")).is_a?(Net::HTTPSuccess)
  rescue SystemCallError, EOFError
    false
  end
end
