# A search for term candidates in a project, a memory or files; what it finds waits in the termbase. input:
# "from" with "project_id", "memory_id" or, with files, neither; "languages": [source tag, target tag].
class Operations::TermSearch < Operation
  include Operation::RevertsEntries

  self.reads_files = true
  self.exclusive = false
  self.superseding = true

  def perform = Termbase::Look.new(self).run

  def heavy?
    !undoing? && Operation::ChildProcess.worth?(segments: units, bytes: files.sum(&:byte_size))
  end

  private

  # So many it looks at.
  def units
    from = input["from"]
    return TranslationUnit.where(memory_id: from["memory_id"]).count if from["memory_id"]

    Segment.where(project_id: from["project_id"]).count
  end

  def small? = undoing?
  # What was decided about its candidates is not its own.
  def changed_anything? = candidates.exists?(state: %w[waiting later])
end
