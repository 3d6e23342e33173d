# A file added to a project that had begun. before: "document_id".
class Operations::FileAddition < Operation
  def revert = document.put_away(by: undoer, noted: false)

  private

  def document
    subject.documents_of_any_role.find_by(id: before["document_id"]) || raise(Glossema::Refused.new("file-gone"))
  end

  def small? = true
end
