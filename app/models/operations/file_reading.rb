# A dropped file read into segments. input: "document_id".
class Operations::FileReading < Operation
  self.reads_files = true
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    return if document.nil? || document.ready?

    Document::Reading.new(document, self) { announce_state }.run
    subject.reload.propose unless subject.begun?
    announce_state
    subject.count_later
  end

  def heavy? = document.present? && Operation::ChildProcess.worth?(bytes: document.byte_size)

  private

  def document = @document ||= subject.documents_of_any_role.find_by(id: input["document_id"])

  # The file says why it could not be read; one that is read anew, or was removed, says nothing.
  def abandon
    return unless document && document.reload.busy?
    # It is read anew.
    return if state == "cancelled" && document.reading_operations.under_way.where.not(id: id).exists?

    document.update!(state: state == "failed" ? "refused" : "cancelled",
      message: stop_reason(I18n.t("background.read", name: document.name)))
    announce_state
  end

  def announce_state
    update_columns(done: document.done, total: document.total)
    subject.announce("document", **document.slice(:id, :state, :done, :total).symbolize_keys)
  end
end
