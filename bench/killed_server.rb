# A Glossema that is killed (-9) and started again, on data that outlive it; what must hold after each start.
require "sqlite3"
require_relative "own_glossema"

HOME = File.expand_path("..", __dir__)

# The program itself, on data that outlive it.
class Killed
  attr_reader :data, :starts

  def initialize
    @data, @starts = Dir.mktmpdir("bench-crash"), []
    environment = { "GLOSSEMA_DATA" => @data, "PORT" => PORT.to_s, "RAILS_ENV" => "production",
                    "RUBY_YJIT_ENABLE" => "1", "RAILS_MAX_THREADS" => "5" }
    system(environment, File.join(HOME, "bin/rails"), "db:prepare", out: File::NULL) || raise("no database")
    at_exit { kill && FileUtils.rm_rf(@data) }
    @resident = IO.popen([environment, "ruby", File.join(HOME, "bench/resident_server.rb"),
                          { chdir: HOME, err: File.join(@data, "log") }], "r+")
  end

  def start
    @starts << time_of do
      @resident.puts
      @pid = @resident.gets.to_i
      600.times { up? ? break : sleep(0.1) }
    end
  end

  # Waits until it is gone: it is not a child of this process.
  def kill
    return true unless @pid

    Process.kill("KILL", -@pid)
    sleep(0.02) while alive?
    @pid = nil
    true
  end

  def database = SQLite3::Database.new(File.join(@data, "glossema.sqlite3"), readonly: true)

  private

  def alive?
    Process.kill(0, @pid)
  rescue Errno::ESRCH
    false
  end
end

# What a kill cut short goes on and ends.
def settle(people)
  under_way = []
  300.times do
    under_way = people.flat_map { |one| one.call(:get, "/operations").body }
    return [] if under_way.empty?

    sleep(0.2)
  end
  under_way.map { |one| "#{one["kind"]} #{one["id"]} does not end" }
end

# What must be empty some time after the last start.
UNENDED = {
  "operations" => "SELECT kind, state FROM operations WHERE state IN ('queued', 'running') OR active",
  "staged files" => "SELECT id, name FROM documents WHERE role = 'staged'",
  "reports" => "SELECT id, project_id FROM reports WHERE state = 'counting'",
  "files being read" => "SELECT id, name FROM documents WHERE state IN ('waiting', 'reading')"
}.freeze

# Work in the background that a kill cut short ends after the next start. Returns sentences.
def unended(server)
  base = server.database
  left = {}
  300.times do
    left = UNENDED.transform_values { |question| base.execute(question) }.reject { |_, rows| rows.empty? }
    return [] if left.empty?

    sleep(0.2)
  end
  left.map { |name, rows| "#{name} never end: #{rows.first(3).inspect}" }
ensure
  base.close
end
