# A file removed from a project. before: "document_id".
class Operations::FileRemoval < Operations::FileAddition
  def revert = document.bring_back
end
