# The files of a backup: those that its database names, each stored once under its checksum.
class Backup::Files
  # One that the database names is not there any more.
  Gone = Class.new(StandardError)

  # files: where they lie in the data folder; folder: of all backups.
  def initialize(files, folder)
    @files, @folder = files, folder
  end

  # Stores those that a copy of the database names. Returns [{"key", "sha256", "bytes"}].
  def store(database)
    keys = Backup.reading(database) do |copy|
      there = copy.table_info("active_storage_blobs").any?
      there ? copy.execute("SELECT key FROM active_storage_blobs ORDER BY key").flatten : []
    end
    known = earlier
    keys.map { |key| known[key] || stored(key) }
  end

  # Where a file lies that is called by a key or a checksum.
  def self.place(root, name) = Pathname(root) + name[0, 2] + name[2, 2] + name
  def self.kept(folder, sha256) = Pathname(folder) + "files" + sha256[0, 2] + sha256[2..]

  private

  # {key => what the last backup says of it}: a file of a key never changes.
  def earlier
    last = Backup.list(@folder).first or return {}
    files = JSON.parse(File.read(File.join(last["path"], Backup::MANIFEST)))["files"]
    files.select { |one| sound?(one) }.to_h { |one| [one["key"], one] }
  end

  def sound?(one)
    Backup::Files.kept(@folder, one["sha256"]).then { |path| path.exist? && path.size == one["bytes"] }
  end

  def stored(key)
    path = Backup::Files.place(@files, key)
    sha256 = Digest::SHA256.file(path.to_s).hexdigest
    kept = Backup::Files.kept(@folder, sha256)
    copy(path, kept, sha256) unless kept.exist? && kept.size == path.size
    { "key" => key, "sha256" => sha256, "bytes" => kept.size }
  rescue Errno::ENOENT
    raise Gone, key
  end

  # Whole or not at all, and read back.
  def copy(path, kept, sha256)
    kept.dirname.mkpath
    half = kept.sub_ext(".#{Process.pid}")
    FileUtils.cp(path, half)
    raise Backup::Fault,
      "#{path} was not copied whole." unless Digest::SHA256.file(half.to_s).hexdigest == sha256

    half.rename(kept)
  end
end
