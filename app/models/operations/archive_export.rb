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
    publish { output.attach(blob) }
  end

  def heavy?
    memories = subject.attachments.select(:memory_id)
    [MemoryUnit.where(memory_id: memories), subject.segments].any? { |rows|
      rows.count > Operation::ChildProcess::MANY / 3
    }
  end
end
