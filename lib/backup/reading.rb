# A backup read back: is all there, and whole?
class Backup::Reading
  # path: of the backup; folder: of all backups.
  def initialize(path, folder)
    @path, @folder = Pathname(path), Pathname(folder)
  end

  # What it says of itself. Raises Fault.
  def manifest
    found = JSON.parse((@path + Backup::MANIFEST).read)
    return found if found["format"] == Backup::FORMAT && found["version"] == Backup::VERSION

    raise Backup::Fault, "#{@path} is no backup that is known here."
  rescue Errno::ENOENT, Errno::ENOTDIR, JSON::ParserError
    raise Backup::Fault, "#{@path} is no backup: it has no #{Backup::MANIFEST} that can be read."
  end

  # thorough: every file is read, too; else only whether it is there. Raises Fault.
  def check(found = manifest, thorough: true)
    found["databases"].each { |one| check_database(one) }
    found["files"].each { |one| check_file(one, thorough) }
    found
  end

  private

  def check_database(found)
    path = @path + found["name"]
    whole = path.exist? && Digest::SHA256.file(path.to_s).hexdigest == found["sha256"]
    raise Backup::Fault, "#{path} is not as it was written." unless whole

    Backup.reading(path) do |database|
      said = database.execute("PRAGMA integrity_check").flatten
      raise Backup::Fault, "#{path} is damaged: #{said.first}." unless said == ["ok"]
      raise Backup::Fault, "#{path} has other records than it was written with." unless
        Backup.records(database) == found["records"]
    end
  end

  def check_file(found, thorough)
    path = Backup::Files.kept(@folder, found["sha256"])
    whole = path.exist? && path.size == found["bytes"]
    whole &&= Digest::SHA256.file(path.to_s).hexdigest == found["sha256"] if thorough
    raise Backup::Fault, "#{path} is not as it was written." unless whole
  end
end
