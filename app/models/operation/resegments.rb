# Operations that cut files of a project into other segments.
module Operation::Resegments
  include Operation::OnDocument

  def heavy?
    Operation::ChildProcess.worth?(bytes: documents_size, segments: subject.segments.count)
  end

  private

  # From the file that a restart left on.
  def resegment(documents)
    at = cursor.fetch("files", 0)
    update_columns(done: at, total: documents.size)
    documents.drop(at).each do |document|
      document.recut(by: user, operation: self)
      advance("files", at += 1, at)
    end
    subject.count_when_looked_at
    subject.announce("recut")
  end

  def documents_size = subject.documents.sum(:byte_size)

  # Files of few segments are cut while the request waits.
  def small? = subject.segments.count <= SEGMENTS

  SEGMENTS = 200
end
