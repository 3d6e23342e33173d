# A package or archive that came in becomes a project. Until all of it is there nothing of it is to be seen;
# what was half done is swept up.
class Operations::PackageImport < Operation
  self.reads_files = true
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    sweep
    file = files.first
    package = HandOver.read(file.download, file.filename.to_s)
    opening = package.opening(self)
    opening.run
    complete do
      opening.reveal
      result["project_id"] = opening.project.id
    end
    opening.follow_up
  end

  def heavy? = Operation::ChildProcess.worth?(bytes: files.first.byte_size)

  # Makes a record that is not to be seen yet, and notes that it is to be swept up. Returns what the block
  # does.
  def making
    ShortTransaction.run do
      record = yield
      key = record.class.table_name
      before[key] = before[key].to_a | [record.id]
      update_columns(before: before)
      record
    end
  end

  private

  def small? = files.first.byte_size <= SMALL_FILE

  # Packages of so many bytes are opened while the request waits.
  SMALL_FILE = 100_000

  def abandon = sweep

  def sweep
    return if result["project_id"]

    Project.where(id: before["projects"].to_a).find_each(&:purge)
    Memory.where(id: before["memories"].to_a).find_each(&:purge)
    Termbase.where(id: before["termbases"].to_a).find_each(&:purge)
    Client.where(id: before["clients"].to_a).find_each(&:destroy!)
    update_columns(before: {})
  end
end
