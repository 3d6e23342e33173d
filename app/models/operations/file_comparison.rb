# A newer version of a file, compared with the one it would replace. input: "document_id".
class Operations::FileComparison < Operation
  self.reads_files = true
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    return unless document&.role == "pending"

    document.update!(state: "reading")
    document.compare(self)
    announce_state
  end

  def heavy?
    document.present? && Operation::ChildProcess
      .worth?(bytes: document.byte_size, segments: document.replaced.segments.count)
  end

  private

  def document = @document ||= subject.documents_of_any_role.find_by(id: input["document_id"])

  # Why there is nothing to compare is said with the file.
  def abandon
    document&.reload&.update!(state: "refused", message: stop_reason(message))
    announce_state
  end

  def announce_state = subject.announce("version", id: document&.id, state: document&.state)
end
