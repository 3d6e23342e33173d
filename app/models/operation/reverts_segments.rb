# Operations that write into segments, marked there by their tag: how they are undone. What somebody changed
# since stays.
module Operation::RevertsSegments
  def revert
    memories = subject.attachments.learning("confirm").includes(:memory).map(&:memory)
    in_steps(written.ids) do |id|
      segment = written.find_by(id: id)
      segment&.back_before(tag, memories, undoer)
    end
    subject.announce("recut")
  end

  def heavy? = Operation::ChildProcess.worth?(segments: undoing? ? written.count : total)

  private

  def written = subject.segments.where("json_extract(origin, '$.act') = ?", tag)
  def small? = (undoing? ? written.count : total) <= FEW

  # So many segments are written while a request waits.
  FEW = 10
end
