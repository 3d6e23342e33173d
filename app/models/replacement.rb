# Find and replace across a project: every change is seen before it happens, each taken or left, and what was
# done is an act that is taken back in one step.
class Replacement
  KIND = "replacement".freeze
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

  # Writes the changes of some segments (ids). confirmed: "stay" or "draft", what becomes of those that were
  # confirmed. Returns the act.
  def write(ids, confirmed:, by:)
    act =
      @project.transaction do
        act = ProjectAct.note(@project, by, KIND)
        changed = segments.where(id: ids).filter_map { |segment| put(segment, act, confirmed, by) }
        act.tap { act.update!(facts: { "count" => changed.size }) }
      end
    @project.announce("recut")
    act
  end

  # Takes back what an act wrote and nobody changed since.
  def self.undo(act, by:) = act.project.take_back(tag(act), by: by)
  def self.tag(act) = "replaced-#{act.id}"

  private

  def segments
    current = @project.segments.joins(:document).where(documents: { role: "current" })
    list = current.order(:document_id, :position)
    @ids ? list.where(id: @ids) : list
  end

  def row(segment)
    return found_in_source(segment) if @side == "source"

    change = @replacing.in(segment.target_content) or return
    told(segment).merge(before: segment.target, after: change.after.written, spans: change.spans)
  end

  def found_in_source(segment)
    told(segment).merge(before: segment.target, after: segment.target, spans: []) if
      @replacing.found?(segment.source_content)
  end

  def told(segment)
    { id: segment.id, position: segment.position, source: segment.source, state: segment.state }
  end

  def put(segment, act, confirmed, by)
    change = @replacing.in(segment.target_content) or return
    origin = { **segment.origin.except("act"), "touched" => true, "act" => Replacement.tag(act) }
    stays = confirmed == "stay" && Segment::UNFINISHED.exclude?(segment.state)
    if stays
      segment.confirm(change.after.written, origin: origin, by: by)
    else
      segment.keep_draft(change.after.written, origin: origin, by: by)
    end
    segment
  end
end
