# A backup laid out as the data folder of a Glossema, in an empty folder.
class Backup::Restoring
  def initialize(path)
    @path = Pathname(path).expand_path
    @folder = @path.dirname
  end

  # Reads all of it before anything is written. Returns what the backup says of itself. Raises Fault.
  def into(target)
    target = Pathname(target)
    raise Backup::Fault, "#{target} is not empty; name a new folder." if target.exist? && target.children.any?

    manifest = Backup::Reading.new(@path, @folder).check
    target.mkpath
    target.chmod(0o700)
    manifest["files"].each { |one| file(one, target) }
    [*manifest["databases"].map { |one| one["name"] }, *Backup::BESIDE].each { |name| copy(name, target) }
    manifest
  rescue SystemCallError => e
    raise Backup::Fault, "#{target} could not be filled: #{e.message}."
  end

  private

  def copy(name, target)
    return unless (@path + name).exist?

    FileUtils.cp(@path + name, target + name)
    (target + name).chmod(0o600)
  end

  def file(one, target)
    place = Backup::Files.place(target + "files", one["key"])
    place.dirname.mkpath
    FileUtils.cp(Backup::Files.kept(@folder, one["sha256"]), place)
  end
end
