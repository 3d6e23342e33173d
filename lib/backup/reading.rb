# A backup read back: is all there, and whole?
class Backup::Reading
  # path: of the backup; folder: of all backups.
  def initialize(path, folder)
    @path, @folder = Pathname(path), Pathname(folder)
  end

  # What it says of itself. Raises Fault.
  def manifest
    told = JSON.parse((@path + Backup::MANIFEST).read)
    return told if told["format"] == Backup::FORMAT && told["version"] == Backup::VERSION

    raise Backup::Fault, "#{@path} is no backup that is known here."
  rescue Errno::ENOENT, Errno::ENOTDIR, JSON::ParserError
    raise Backup::Fault, "#{@path} is no backup: it has no #{Backup::MANIFEST} that can be read."
  end

  # thorough: every file is read, too; else only whether it is there. Raises Fault.
  def check(told = manifest, thorough: true)
    told["databases"].each { |one| check_database(one) }
    told["files"].each { |one| check_file(one, thorough) }
    told
  end

  private

  def check_database(told)
    path = @path + told["name"]
    whole = path.exist? && Digest::SHA256.file(path.to_s).hexdigest == told["sha256"]
    raise Backup::Fault, "#{path} is not as it was written." unless whole

    Backup.reading(path) do |database|
      said = database.execute("PRAGMA integrity_check").flatten
      raise Backup::Fault, "#{path} is damaged: #{said.first}." unless said == ["ok"]
      raise Backup::Fault, "#{path} has other records than it was written with." unless
        Backup.records(database) == told["records"]
    end
  end

  def check_file(told, thorough)
    path = Backup::Files.kept(@folder, told["sha256"])
    whole = path.exist? && path.size == told["bytes"]
    whole &&= Digest::SHA256.file(path.to_s).hexdigest == told["sha256"] if thorough
    raise Backup::Fault, "#{path} is not as it was written." unless whole
  end
end
