# The segments of a document at the places that its file has for them as it is read now, for writing.
class Document::Placed
  # So often it begins again.
  TRIES = 4

  # Opens the file and places the segments; begins again where somebody cut it otherwise meanwhile. operation:
  # that it is part of. Raises Refused "read-otherwise"; then the file is to be read again.
  def self.open(document, operation: nil, tries: TRIES)
    version = document.segmentation_version
    new(document, document.opened(operation: operation))
  rescue Glossema::Refused => e
    raise unless e.code == "read-otherwise"

    retry if document.reload.segmentation_version != version && (tries -= 1).positive?

    document.update_columns(reader_version: nil)
    raise
  end

  # The core's view of the file.
  attr_reader :opened

  def initialize(document, opened)
    @document, @opened = document, opened
    segments = document.segments.to_a
    stored = segments.map { |row| [row.key, row.source] }
    @rows = Glossema::Placement.new(opened, stored).indexes.transform_values { |index| segments[index] }
  end

  # The file with the translation as it is now.
  def bytes
    @bytes ||= opened.write(targets, target_language: @document.project.target_lang, states: states_held)
  end

  # That it holds what was meant, and nothing else.
  def proof = @proof ||= Glossema::Proof.new(opened, bytes, targets, states: states_held)

  def states = @rows.transform_values(&:state)
  def numbers = @rows.transform_values(&:position)

  # {id of each Segment => its target}
  def texts = @rows.values.to_h { |row| [row.id, row.target] }

  private

  # {id of a segment of the file => Content} of those that have a target.
  def targets
    @targets ||= @rows.reject { |_, row| Segment.empty?(row.target) }.transform_values(&:target_content)
  end

  # Only bilingual files hold states.
  def states_held = opened.bilingual? ? states : {}
end
