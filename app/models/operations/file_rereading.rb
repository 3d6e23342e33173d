# A file read again as the readers find it now, once the project has begun: what is translated stays with its
# text. input: "document_id".
class Operations::FileRereading < Operation
  include Operation::Resegments

  def perform
    document.recut(by: user, operation: self)
    subject.announce("recut")
  end

  private

  def documents_size = document.byte_size
end
