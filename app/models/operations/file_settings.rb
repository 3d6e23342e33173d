# Options of a file, or whether it is cut by sentence or paragraph, changed after the project has begun.
# input: "document_id", "by", "options"; before: what they were.
class Operations::FileSettings < Operation
  include Operation::Resegments

  def perform = apply(input.slice("by", "options").compact)

  # Times that were changed are no setting, and stay.
  def revert = apply("by" => before["by"], "options" => before["options"].to_h.except("retimed"))

  private

  def apply(settings)
    row = document
    prepare = lambda do
      retimed = row.options.slice("retimed")
      row.assign_attributes(settings)
      row.options = row.options.except("retimed").merge(retimed)
    end
    row.recut(by: undoer, operation: self, prepare: prepare)
    subject.announce("recut")
  end

  def documents_size = document.byte_size
end
