# The commands of bin/glossema that make backups and lay them out again, without the application.
require "glossema/cli"
require_relative "backup"

class BackupCommands < Glossema::Cli
  COMMANDS = %w[backup restore].freeze

  def self.start(arguments, *streams) = new(arguments, *streams).run

  # The data folder as the application knows it.
  def self.data
    ENV["GLOSSEMA_DATA"].to_s.empty? ? File.expand_path("../storage", __dir__) : ENV["GLOSSEMA_DATA"]
  end

  # Makes one, in the folder that is named or in the usual one; "backup check PATH" reads one again.
  def backup
    return check if @arguments.first == "check"

    path = Backup.new(BackupCommands.data, @arguments.shift || Backup.folder(BackupCommands.data)).make
    print_manifest(path, Backup::Reading.new(path, File.dirname(path)).manifest)
  rescue Backup::Fault => e
    refuse(e.message)
  end

  def restore
    path, target = argument("BACKUP"), argument("FOLDER")
    print_manifest(target, Backup::Restoring.new(path).into(target))
  rescue Backup::Fault => e
    refuse(e.message)
  end

  private

  def check
    @arguments.shift
    path = argument("BACKUP")
    print_manifest(path, Backup::Reading.new(path, File.dirname(path)).check)
  end

  def print_manifest(path, manifest)
    records = manifest["databases"].first["records"].values.sum
    say("path" => path, **manifest.slice("at", "bytes"), "files" => manifest["files"].size,
      "records" => records)
    DONE
  end
end
