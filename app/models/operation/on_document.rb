# Operations on one file of a project. input or before: "document_id".
module Operation::OnDocument
  def reload(*)
    @document = nil
    super
  end

  private

  # Raises Refused "file-gone".
  def document
    id = input["document_id"] || before["document_id"]
    @document ||= subject.documents_of_any_role.find_by(id: id) || raise(Glossema::Refused.new("file-gone"))
  end
end
