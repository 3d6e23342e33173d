# How a document is cut into segments, changed while the translation goes on: by other rules or options, or by
# hand. What was translated stays with the text it belongs to.
module Document::Cutting
  Place = Struct.new(:unit_id, :keyed, :content)

  # Cuts the file anew: by today's rules and options, or with `as_stored` as `breaks` says. Translations whose
  # text did not change keep everything; of the others the text goes to the segment in which it began, as a
  # draft.
  def recut(by:, as_stored: false)
    fresh = opened(as_stored: as_stored)
    old = segments.includes(:versions).to_a
    links =
      Glossema::Revision.new(
        old.map { |row| Place.new(row.unit_id, false, row.source_content) },
        fresh.segments.map { |one| Place.new(one.unit.id, false, one.content) }
      ).links
    began = beginnings(old.map { |row| [row, row.unit_id, row.source_content] })
    begins = beginnings(fresh.segments.map { |segment| [segment.id, segment.unit.id, segment.content] })
    transaction do
      Segment.where(document_id: id).update_all("position = -position")
      kept = move_same(fresh, old, links)
      lost = (old - kept).group_by(&:unit_id)
      links.each_with_index do |link, index|
        add_cut(fresh.segments[index], index + 1, lost, [began, begins], by) unless link.kind == :same
      end
      KeptTranslation.keep(self, old - kept)
      Segment.discard(Segment.where(id: (old - kept).map(&:id)))
      Note.find_place_again(self)
      keep_reading(fresh)
      Memory.renew_neighbours(self)
    end
    segments.reset
    CountProjectJob.perform_later(project)
  end

  # Cuts a segment in two at an offset (code points) of its text; its translation is parted by place.
  def split(segment, at, by:)
    position, target = segment.position, segment.target_content
    share = at.to_f / [segment.source_content.text.length, 1].max
    cut_by_hand(segment, at, by)
    part(position, target, share, by) unless target.blank?
  end

  # The translation of a text that was cut in two goes to both halves, as drafts, and so does its past.
  def part(position, target, share, by)
    rows = segments.reload.where(position: [position, position + 1]).order(:position).to_a
    return unless rows.first.origin["kind"] == "earlier"

    halves = Glossema::Segmentation::Parting.halves(target, share, project.target_lang)
    add_history(rows.last, [rows.first])
    rows.zip(halves) do |row, half|
      own = moved_codes(half, row.source_content)
      row.update!(
        target: own.written,
        state: own.blank? ? "untouched" : "draft",
        origin: { kind: "earlier" },
        version: row.version + 1
      )
      row.remember(by) unless own.blank?
    end
  end

  def cut_by_hand(segment, at, by)
    change_by_hand(segment, by: by) do |opened, found|
      from, to = opened.span_of(found)
      unless at.between?(1, to - from - 1)
        raise Glossema::Refused.new("split-edge")
      end

      [:add, from + at]
    end
  end

  private :part, :cut_by_hand

  # Joins a segment with the one after it. Raises Refused when that belongs to another paragraph.
  def join(segment, by:)
    change_by_hand(segment, by: by) do |opened, found|
      own = opened.segments_of(found.unit)
      following =
        own[own.index(found) + 1] ||
        raise(
          Glossema::Refused.new("join-border")
        )
      last, first = opened.span_of(found).last, opened.span_of(following).first
      offset = opened.breaks.fetch(found.unit.id).find { |one| one.between?(last, first) }
      [:remove, offset]
    end
  end

  # The text before the border that was taken away, for an exception: the last word with its mark.
  def self.ending(content) = content.text[/\S+\z/].to_s

  private

  def change_by_hand(segment, by:)
    opened = self.opened
    found = opened.segments.find { |one| one.id == segment.key } || raise(ActiveRecord::RecordNotFound)
    kind, offset = yield opened, found
    unit = found.unit
    mark = Glossema::Document.mark_of(unit.content.text)
    before = { "unit" => unit.id, "hand" => hand[unit.id], "breaks" => breaks[unit.id] }
    done = hand[unit.id] if hand[unit.id] && hand[unit.id]["text"] == mark
    done ||= { "text" => mark, "add" => [], "remove" => [] }
    other = kind == :add ? "remove" : "add"
    done[other] -= [offset]
    done[kind.to_s] |= [offset]
    cuts = breaks.fetch(unit.id, [])
    update!(
      hand: hand.merge(unit.id => done),
      breaks:
        breaks
          .merge(unit.id => kind == :add ? (cuts + [offset]).sort : cuts - [offset])
          .reject { |_, list| list.empty? }
    )
    # Everything else stays cut as it is, also where rules have changed since.
    recut(by: by, as_stored: true)
    note(by, kind == :add ? "split" : "join", facts: { text: segment.source.truncate(80) }, before: before)
  end

  def move_same(fresh, old, links)
    links.each_with_index.filter_map do |link, index|
      next unless link.kind == :same

      segment, row = fresh.segments[index], old[link.old]
      row.update_columns(
        position: index + 1,
        key: segment.id,
        block: segment.unit.block,
        path: segment.unit.path,
        codes: segment.content.code_hashes,
        note: segment.unit.note,
        limit: segment.unit.limit
      )
      row
    end
  end

  # A segment that is new in its unit, with the translations of those that began in it.
  def add_cut(segment, position, lost, (began, begins), by)
    row = Segment.create!(Segment.row(self, segment, position))
    again = KeptTranslation.of(self, segment.unit.id, row.source)
    return bring_again(again, row, lost[segment.unit.id].to_a) if again

    translated = lost[segment.unit.id].to_a.select { |one| one.target.present? }
    return if translated.empty?

    first, last = begins.fetch(segment.id)
    own = translated.select { |one| began.fetch(one).first.between?(first, last - 1) }
    target =
      own
        .map { |one| moved_target(one, segment.content) }
        .reduce { |sum, one| Glossema::Content.new(sum.items + [" "] + one.items) }
    row.alternatives +=
      translated.map do |one|
        { source: one.source_content.text, target: one.target_content.text, origin: "earlier" }
      end
    if target
      row.assign_attributes(
        target: target.well_formed.written,
        state: "draft",
        origin: {
          kind: "earlier"
        },
        version: 1
      )
    end
    row.save!
    add_history(row, own)
    row.remember(by) if target
  end

  # A text cut as it once was has its translation of then; what was written meanwhile is offered beside it.
  def bring_again(kept, row, meanwhile)
    kept.give(row)
    newer = meanwhile.select { |one| one.target.present? && one.origin["kind"] != "earlier" }
    offers = newer.map do |one|
      { source: one.source_content.text, target: one.target_content.text, origin: "earlier" }
    end
    row.update!(alternatives: row.alternatives + offers) if offers.any?
  end

  # What a text was before it was cut otherwise stays in its past.
  def add_history(row, before)
    rows =
      before.flat_map(&:versions).map { |version|
        version.attributes.except("id").merge("segment_id" => row.id)
      }
    Version.insert_all!(rows) if rows.any?
  end

  # {id => [from, to]} in the text of its unit, white space aside: that is all that stands between segments.
  def beginnings(list)
    list
      .group_by { |_, unit, _| unit }
      .each_value
      .with_object({}) do |rows, places|
        rows.reduce(0) do |at, (id, _, content)|
          (at + content.text.gsub(/[[:space:]]/, "").length).tap { |to| places[id] = [at, to] }
        end
      end
  end

  # A translation with the codes of another cut of the same text.
  def moved_target(old, content) = moved_codes(old.target_content, content)

  def moved_codes(target, content)
    known = content.codes.to_h { |code| [[code.key, code.kind], code] }
    Glossema::Content.new(
      target.items.filter_map { |item| item.is_a?(String) ? item : known[[item.key, item.kind]] }
    ).well_formed
  end

  def keep_reading(fresh)
    counts = fresh.segments.map { |segment| Glossema::Counting::Count.of(segment.content) }
    update!(
      breaks: fresh.breaks,
      total: fresh.segments.size,
      done: fresh.segments.size,
      facts: facts.merge(facts_of(counts))
    )
    keep_page(fresh)
  end
end
