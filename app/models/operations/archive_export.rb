# A whole project as one file.
class Operations::ArchiveExport < Operation
  self.exclusive = false
  self.in_activity = false
  self.superseding = true

  def perform
    archive = ProjectArchive::Out.new(subject)
    bytes = interruptible { archive.bytes }
    blob = BytesFirst.store(io: StringIO.new(bytes), filename: archive.name,
      content_type: "application/zip")
    complete { output.attach(blob) }
  end

  def heavy?
    units = MemoryUnit.where(memory_id: subject.attachments.select(:memory_id)).count
    units > Operation::ChildProcess::UNITS || subject.segments.count > Operation::ChildProcess::MANY
  end
end
