# A whole project as one file.
class Operations::ArchiveExport < Operation
  include Operation::MakesPackage

  self.exclusive = false
  self.in_activity = false
  self.superseding = true

  def heavy?
    units = TranslationUnit.where(memory_id: subject.attachments.select(:memory_id)).count
    Operation::ChildProcess.worth?(units: units, segments: subject.segments.count)
  end

  private

  def package = ProjectArchive::Out.new(subject)
end
