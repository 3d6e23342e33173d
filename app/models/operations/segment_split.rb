# A segment split in two by hand. before: "document_id", "unit", and "hand" and "breaks" of that unit.
class Operations::SegmentSplit < Operation
  include Operation::Resegments

  # Only the paragraph that was cut by hand is cut as it was.
  def revert
    row, unit = document, before["unit"]
    prepare = lambda do
      row.hand = row.hand.except(unit).merge(before["hand"] ? { unit => before["hand"] } : {})
      row.breaks = row.breaks.except(unit).merge(before["breaks"].to_a.any? ? { unit => before["breaks"] } : {})
    end
    row.recut(by: undoer, as_stored: true, operation: self, prepare: prepare)
    subject.announce("recut")
  end
end
