# The oldest backups thrown away, and the files that none of those left names.
class Backup::Pruning
  # What a process that died left half is old after so long.
  OLD = 86_400

  def initialize(folder)
    @folder = Pathname(folder)
  end

  def keep(count)
    Backup.list(@folder).drop(count).each { |one| FileUtils.rm_rf(one["path"]) }
    halves = Dir[@folder + "*#{Backup::HALF}"]
    FileUtils.rm_rf(halves.select { |path| File.mtime(path) < Time.now - OLD })
    unnamed.each(&:delete)
  end

  private

  def unnamed
    named = Backup.list(@folder).flat_map do |one|
      JSON.parse(File.read(File.join(one["path"], Backup::MANIFEST)))["files"].map { |file| file["sha256"] }
    end.to_set
    # What another backup is just copying is younger.
    Pathname.glob(@folder + "files/*/*").select { |path|
      !named.include?("#{path.dirname.basename}#{path.basename}") && path.mtime < Time.now - OLD
    }
  end
end
