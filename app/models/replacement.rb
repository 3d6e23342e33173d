# Find and replace across a project: every change is previewed, each accepted or not; writing them is an
# operation that is undone in one step.
class Replacement
  # So many places are shown.
  SHOWN = 500

  # asked: find, with, regex, cased, words; side: "source" (to look only) or "target"; ids: of the segments it
  # is about, nil for all. Raises Refused "find-pattern.…".
  def initialize(project, asked, side: "target", ids: nil)
    @project, @side, @ids = project, side, ids
    @replacing = Glossema::Replacing.new(**asked)
  end

  # [{id:, position:, source:, before:, after:, spans:} …] in order of the text, at most SHOWN, and how many
  # there are.
  def look
    found = segments.filter_map { |segment| row(segment) }
    [found.first(SHOWN), found.size]
  end

  # Begins to write the changes of some segments (ids). confirmed: "stay" or "draft", what becomes of those
  # that were confirmed. Returns the operation.
  def self.start(project, asked, ids, confirmed:, by:, side: "target")
    new(project, asked, side: side)
    Operations::Replacement.start(project, by: by, total: ids.size, summary: asked[:find],
      input: { "asked" => asked, "side" => side, "ids" => ids, "confirmed" => confirmed })
  end

  # Writes the change of one segment. tag: of the operation. Returns whether there was one.
  def write(id, confirmed, tag:, by:)
    segment = segments.find_by(id: id) or return false
    change = @replacing.in(segment.target_content) or return false

    segment.rewrite(change.after.written, act: tag, by: by, draft: confirmed != "stay")
    true
  end

  private

  def segments
    current = @project.segments.joins(:document).where(documents: { role: "current" })
    list = current.order(:document_id, :position)
    @ids ? list.where(id: @ids) : list
  end

  def row(segment)
    return found_in_source(segment) if @side == "source"

    change = @replacing.in(segment.target_content) or return
    row_of(segment).merge(before: segment.target, after: change.after.written, spans: change.spans)
  end

  def found_in_source(segment)
    row_of(segment).merge(before: segment.target, after: segment.target, spans: []) if
      @replacing.found?(segment.source_content)
  end

  def row_of(segment)
    { id: segment.id, position: segment.position, source: segment.source, state: segment.state }
  end
end
