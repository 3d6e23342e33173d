# Everything that a Glossema holds, copied while it runs: its databases by SQLite's own online backup, its
# files by checksum, each of them once however many backups there are. A backup counts once it was read back
# and found whole.
#
#   BACKUPS/files/ab/cdef…                 files, named by their SHA-256
#   BACKUPS/2026-11-26T03-00-00Z/          a backup: glossema.sqlite3, queue.sqlite3, secret, manifest.json
#
# Needs the sqlite3 gem alone, so that it runs without the application.
require "digest"
require "fileutils"
require "json"
require "pathname"
require "sqlite3"
require "time"

class Backup
  DATABASES = %w[glossema.sqlite3 queue.sqlite3].freeze
  # Small files that lie beside the databases.
  BESIDE = %w[secret .demo].freeze
  MANIFEST, FORMAT, VERSION = "manifest.json", "glossema-backup", 1
  HALF, FAILED = ".half", "failed.json"
  KEPT = 7
  # A file that was thrown away between the copy of the database and its own: so often it is begun again.
  TRIES = 3
  # What stands in the way, in a sentence.
  Fault = Class.new(StandardError)

  # The folder of backups, and how many are kept, as the environment says.
  def self.folder(data) = Pathname(ENV["BACKUPS"].to_s.empty? ? File.join(data, "backups") : ENV["BACKUPS"])
  def self.kept = [ENV.fetch("BACKUPS_KEPT", KEPT).to_i, 1].max

  # All that were found whole, the newest first: [{"path", "at", "bytes", "files", "records"}].
  def self.list(folder)
    Dir[File.join(folder, "*", MANIFEST)].sort.reverse.filter_map do |path|
      manifest = JSON.parse(File.read(path))
      { "path" => File.dirname(path), **manifest.slice("at", "bytes"), "files" => manifest["files"].size,
        "records" => manifest["databases"].first["records"].values.sum }
    rescue JSON::ParserError, SystemCallError
      nil
    end
  end

  # {"at", "message"} of the last one, where it failed.
  def self.failure(folder)
    JSON.parse(File.read(File.join(folder, FAILED)))
  rescue SystemCallError, JSON::ParserError
    nil
  end

  # {table => how many rows}
  def self.records(database)
    tables = database.execute(<<~SQL)
      SELECT name FROM sqlite_master WHERE type = 'table' AND sql NOT LIKE 'CREATE VIRTUAL%'
    SQL
    tables.flatten.reject { |name| name.start_with?("sqlite_") }.sort
      .to_h { |name| [name, database.get_first_value("SELECT COUNT(*) FROM \"#{name}\"")] }
  end

  # What a block answers about a database that nothing is written into.
  def self.reading(path)
    database = SQLite3::Database.new(path.to_s, readonly: true)
    yield database
  ensure
    database&.close
  end

  # data: the data folder of a Glossema; folder: where backups lie.
  def initialize(data, folder)
    @data, @folder = Pathname(data), Pathname(folder)
  end

  # Makes one, reads it back, and throws away the oldest beyond so many. Returns its path. Raises Fault, of
  # which a note stays in the folder until one succeeds.
  def make(keep: Backup.kept)
    path = made(keep)
    (@folder + FAILED).delete if (@folder + FAILED).exist?
    path
  rescue Fault => e
    note(e.message)
    raise
  end

  private

  def note(message)
    (@folder + FAILED).write(JSON.generate("at" => Time.now.utc.iso8601, "message" => message))
  rescue SystemCallError
    nil
  end

  def made(keep)
    raise Fault, "#{@data} holds no Glossema: there is no #{DATABASES.first}." unless
      (@data + DATABASES.first).exist?

    name = Time.now.utc.strftime("%Y-%m-%dT%H-%M-%SZ")
    half = @folder + "#{name}#{HALF}"
    half.mkpath
    half.chmod(0o700)
    manifest = copied(half)
    Reading.new(half, @folder).check(manifest, thorough: false)
    (half + MANIFEST).write(JSON.pretty_generate(manifest))
    half.rename(@folder + name)
    Backup::Pruning.new(@folder).keep(keep)
    (@folder + name).to_s
  rescue SQLite3::Exception, SystemCallError => e
    raise Fault, "The backup into #{@folder} failed: #{e.message.lines.first.strip}."
  ensure
    FileUtils.rm_rf(half) if half
  end

  # The databases first: what they name is there, and what came since is in the next backup.
  def copied(half)
    tries = 0
    begin
      databases = DATABASES.select { |name| (@data + name).exist? }.map { |name| database(name, half + name) }
      files = Backup::Files.new(@data + "files", @folder).store(half + DATABASES.first)
    rescue Backup::Files::Gone
      raise Fault, "Files went away while they were copied; try again." if (tries += 1) >= TRIES

      retry
    end
    beside(half)
    { "format" => FORMAT, "version" => VERSION, "at" => Time.now.utc.iso8601, "databases" => databases,
      "files" => files, "bytes" => databases.sum { |one| one["bytes"] } + files.sum { |one| one["bytes"] } }
  end

  def database(name, target)
    target.delete if target.exist?
    from, to = SQLite3::Database.new((@data + name).to_s, readonly: true), SQLite3::Database.new(target.to_s)
    from.busy_timeout = 15_000
    copy = SQLite3::Backup.new(to, "main", from, "main")
    copy.step(-1)
    copy.finish
    # The copy is a file by itself.
    to.execute("PRAGMA journal_mode = DELETE")
    { "name" => name, "bytes" => target.size, "sha256" => Digest::SHA256.file(target.to_s).hexdigest,
      "records" => Backup.records(to) }
  ensure
    from&.close
    to&.close
  end

  def beside(half)
    BESIDE.each do |name|
      next unless (@data + name).exist?

      FileUtils.cp(@data + name, half + name)
      (half + name).chmod(0o600)
    end
  end
end

require_relative "backup/files"
require_relative "backup/reading"
require_relative "backup/pruning"
require_relative "backup/restoring"
