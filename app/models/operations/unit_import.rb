# Units of a file come into a memory. What an import that was cancelled had brought stays until it is undone.
class Operations::UnitImport < Operation
  include Operation::RevertsUnits

  self.reads_files = true
  self.default_weight = "bulk"

  # What an alignment gives is only added.
  def right_needed = input["alignment"] ? "add" : super

  # file: an upload, or {io:, filename:}; different: "both" or "newer"; columns: of tables.
  def self.of_file(memory, file, by:, different: "both", **input)
    name = file.is_a?(Hash) ? file[:filename] : file.original_filename
    input = { "file" => name, "different" => different, **input.stringify_keys }
    start(memory, by: by, files: [file], summary: name, input: input)
  end

  # Takes in an open file at once, without keeping it. Returns what it came to. Raises Refused.
  def run_with(io)
    @io = io
    @at_once = true
    update!(input: input.merge("pid" => Process.pid))
    take_in_hand && execute
    result
  end

  def perform
    return Memory::Import.new(self).run(@io, input["file"]) if @io
    # The command line's, whose process is gone.
    raise Glossema::Refused.new("import-ended") if files.none?

    files.first.open { |file| Memory::Import.new(self).run(file, input.fetch("file")) }
  end

  def revert
    writer = Memory::Writer.new(subject)
    enter("removing", total: imported.count)
    imported.in_batches(of: SLICE) do |units|
      ids = units.ids
      checkpoint
      ShortTransaction.run { writer.remove(ids) }
      update_columns(done: done + ids.size)
      ShortTransaction.pause
    end
    super
  end

  def heavy?
    return Operation::ChildProcess.worth?(units: imported.count) if undoing?

    files.first.present? && Operation::ChildProcess.worth?(bytes: files.first.byte_size)
  end

  # Is the process that works on it another one, and alive?
  def elsewhere?
    pid = input["pid"]
    pid.present? && pid != Process.pid && Process.kill(0, pid) && true
  rescue Errno::ESRCH, Errno::EPERM
    false
  end

  # Where its units stand is for undoing it.
  def shown_result = result.except("first", "last", "indexed")

  # Millions of units and entries are read as they come.
  def seconds_to_read = 60 * super

  private

  def small? = undoing? && imported.count + unit_versions.count <= Operation::SMALL
  def abandon = Memory::Import.new(self).finish_earlier

  def imported
    first, last = result.values_at("first", "last")
    first && last ? TranslationUnit.where(id: first..last, import_id: id) : TranslationUnit.none
  end

  def changed_anything? = imported.exists? || super
end
