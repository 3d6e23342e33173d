# A segment split in two by hand. before: "document_id", "unit", and "hand" and "breaks" of that unit.
class Operations::SegmentSplit < Operation
  include Operation::Resegments

  # Only the paragraph that was cut by hand is cut as it was.
  def revert
    row, unit = document, before["unit"]
    hand, breaks = before.values_at("hand", "breaks")
    prepare = lambda do
      row.hand = row.hand.except(unit).merge(hand ? { unit => hand } : {})
      row.breaks = row.breaks.except(unit).merge(breaks.to_a.any? ? { unit => breaks } : {})
    end
    row.recut(by: undoer, as_stored: true, operation: self, prepare: prepare)
    subject.announce("recut")
  end
end
