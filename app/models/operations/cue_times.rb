# Times of cues changed, or cues split and joined. before: "document_id", "options".
class Operations::CueTimes < Operation
  include Operation::Resegments

  def revert
    row = document
    prepare = lambda do
      kept = before.dig("options", "retimed").to_a
      row.options = row.options.except("retimed").merge(kept.any? ? { "retimed" => kept } : {})
    end
    row.recut(by: undoer, as_stored: true, operation: self, prepare: prepare)
    subject.announce("recut")
  end

  private

  # Cues are counted as they stand after the last change: the last one is undone first.
  def refuse_undo
    later = document.options["retimed"].to_a.size != before.dig("options", "retimed").to_a.size + 1
    raise Glossema::Refused.new("times-later") if later
  end
end
