# A newer version of a file accepted in place of the old one. input: "document_id".
class Operations::FileRevision < Operation
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
    document.byte_size > Operation::ChildProcess::LARGE || subject.segments.count > Operation::ChildProcess::MANY
  end

  private

  def document
    @document ||= subject.documents_of_any_role.find_by(id: before["document_id"] || input["document_id"]) ||
      raise(Glossema::Refused.new("file-gone"))
  end

  # Segments that nobody has seen.
  def abandon
    document.discard_segments if document.reload.role == "pending"
  end
end
