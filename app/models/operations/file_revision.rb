# A newer version of a file accepted in place of the old one. input: "document_id".
class Operations::FileRevision < Operation
  include Operation::OnDocument

  self.reads_files = true
  self.default_weight = "interactive"

  def perform
    update!(before: { "document_id" => input["document_id"] })
    counts = document.comparison.to_h.transform_values { |one| one.is_a?(Hash) ? one["segments"] : one }
    Document::RevisionUpdate.new(document, self).run { self.result = counts }
    subject.announce("recut")
  end

  def revert
    document.put_back(by: undoer, operation: self)
    subject.announce("recut")
  end

  def heavy?
    Operation::ChildProcess.worth?(bytes: document.byte_size, segments: subject.segments.count)
  end

  private

  # Segments that nobody has seen.
  def abandon
    document.discard_segments if document.reload.role == "pending"
  end
end
