# The version of a file before the one that is translated came back. input: "document_id".
class Operations::FileReversion < Operation
  include Operation::OnDocument

  self.default_weight = "interactive"

  def perform
    update!(before: { "document_id" => before_of(document).id })
    document.put_back(by: user, operation: self)
    subject.announce("recut")
  end

  # The newer version, which is replaced now, takes its place again.
  def revert
    newer.take_place_again(by: undoer, operation: self)
    subject.announce("recut")
  end

  private

  def before_of(newer)
    newer.replaces_id ? newer.replaced : raise(Glossema::Refused.new("nothing-before", name: newer.name))
  end

  def newer = document
  def small? = true
end
