# A file added to a project that had begun. before: "document_id".
class Operations::FileAddition < Operation
  include Operation::OnDocument

  def revert = document.move_to_trash(by: undoer, noted: false)

  private

  def small? = true
end
