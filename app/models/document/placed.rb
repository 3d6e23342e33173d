# The segments of a document at the places that its file has for them as it is read now, for writing.
class Document::Placed
  # opened: Glossema::Document. Raises Refused "read-otherwise"; then the file is to be read again.
  def initialize(document, opened)
    segments = document.segments.to_a
    stored = segments.map { |row| [row.key, row.source] }
    @rows = Glossema::Placement.new(opened, stored).indexes.transform_values { |index| segments[index] }
  rescue Glossema::Refused
    document.update_columns(reader_version: nil)
    raise
  end

  # Targets of those that have one: {id of a segment of the file => Content}
  def targets
    @rows.reject { |_, row| Segment.empty?(row.target) }.transform_values(&:target_content)
  end

  def states = @rows.transform_values(&:state)
  def numbers = @rows.transform_values(&:position)
end
