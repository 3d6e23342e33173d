# How a document is cut into segments, changed while the translation goes on: by other rules or options, or by
# hand. What was translated stays with the text it belongs to.
module Document::Cutting
  Place = Struct.new(:unit_id, :keyed, :content)

  # Cuts the file anew: by today's rules and options, or with `as_stored` as `breaks` says. See
  # Resegmentation.
  def recut(by:, as_stored: false, operation: nil, prepare: nil, &swapped)
    Document::Resegmentation.new(self, by: by, as_stored: as_stored, operation: operation)
      .run(prepare: prepare, &swapped)
  end

  # The operation of the last change by hand or of times.
  attr_reader :changed

  # Cuts a segment in two at an offset (code points) of its text; its translation is parted by place.
  def split(segment, at, by:)
    change_by_hand(segment, Operations::SegmentSplit, by: by) do |opened, found|
      from, to = opened.span_of(found)
      raise Glossema::Refused.new("split-edge") unless at.between?(1, to - from - 1)

      [:add, from + at]
    end
  end

  # Joins a segment with the one after it. Raises Refused when that belongs to another paragraph.
  def join(segment, by:)
    change_by_hand(segment, Operations::SegmentJoin, by: by) do |opened, found|
      own = opened.segments_of(found.unit)
      following = own[own.index(found) + 1] || raise(Glossema::Refused.new("join-border"))
      last, first = opened.span_of(found).last, opened.span_of(following).first
      offset = opened.breaks.fetch(found.unit.id).find { |one| one.between?(last, first) }
      [:remove, offset]
    end
  end

  # The text before the border that was taken away, for an exception: the last word with its mark.
  def self.ending(content) = content.text[/\S+\z/].to_s

  # What a text was before it was cut otherwise stays in its history.
  def add_history(row, before)
    rows =
      before.flat_map(&:versions).map { |version|
        version.attributes.except("id").merge("segment_id" => row.id)
      }
    Version.insert_all!(rows) if rows.any?
  end

  # A translation with the codes of another cut of the same text.
  def moved_codes(target, content)
    known = content.codes.to_h { |code| [[code.key, code.kind], code] }
    Glossema::Content.new(
      target.items.filter_map { |item| item.is_a?(String) ? item : known[[item.key, item.kind]] }
    ).well_formed
  end

  # A document that nobody sees, for segments that are being made.
  def stage
    project.documents_of_any_role.create!(role: "staged", position: position, name: name, state: "ready",
      format: format, replaces_id: id)
  end

  # What is left of one that was staged goes.
  def purge
    Segment.discard_in_steps(Segment.where(document_id: id))
    destroy!
  end

  private

  # Everything else stays cut as it is, also where rules have changed since. Raises Refused
  # "changed-meanwhile" where the segment is another by now.
  def change_by_hand(segment, kind, by:, &place)
    was, before, change = segment.source, nil, nil
    prepare = lambda do
      change, unit, offset = place_by_hand(segment, was, &place)
      before = { "document_id" => id, "unit" => unit.id, "hand" => hand[unit.id],
                 "breaks" => breaks[unit.id] }
      keep_by_hand(unit, change, offset)
    end
    recut(by: by, as_stored: true, prepare: prepare) do
      @changed = kind.record(project, by: by, summary: name, result: { text: was.truncate(80) },
        before: before)
      part(segment, by) if change == :add
    end
  end

  # [:add or :remove, unit of the core, offset in its text]
  def place_by_hand(segment, was)
    opened = self.opened
    found = opened.segments.find { |one| one.id == segment.key }
    current = Segment.find_by(id: segment.id, document_id: id)
    unless found && current && current.key == segment.key && found.content.written == was
      raise Glossema::Refused.new("changed-meanwhile")
    end

    kind, offset = yield opened, found
    [kind, found.unit, offset]
  end

  def keep_by_hand(unit, kind, offset)
    mark = Glossema::Document.mark_of(unit.content.text)
    done = hand[unit.id].deep_dup if hand[unit.id] && hand[unit.id]["text"] == mark
    done ||= { "text" => mark, "add" => [], "remove" => [] }
    done[kind == :add ? "remove" : "add"] -= [offset]
    done[kind.to_s] |= [offset]
    cuts = breaks.fetch(unit.id, [])
    assign_attributes(
      hand: hand.merge(unit.id => done),
      breaks:
        breaks
          .merge(unit.id => kind == :add ? (cuts + [offset]).sort : cuts - [offset])
          .reject { |_, list| list.empty? }
    )
  end

  # The translation of a text that was cut in two goes to both halves, as drafts, and so does its history.
  def part(segment, by)
    return if segment.target_content.blank?

    rows = segments.reload.where(position: [segment.position, segment.position + 1]).order(:position).to_a
    return unless rows.first.origin["kind"] == "earlier"

    share = rows.first.source_content.text.length.to_f / [segment.source_content.text.length, 1].max
    halves = Glossema::Segmentation::Parting.halves(segment.target_content, share, project.target_lang)
    add_history(rows.last, [rows.first])
    rows.zip(halves) { |row, half| give_half(row, moved_codes(half, row.source_content), by) }
  end

  def give_half(row, own, by)
    row.update!(target: own.written, state: own.blank? ? "untouched" : "draft", origin: { kind: "earlier" },
      version: row.version + 1)
    row.remember(by) unless own.blank?
  end
end
