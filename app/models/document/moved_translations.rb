# The new segments of a document that is cut otherwise, with the translations of those that began in them.
class Document::MovedTranslations
  # fresh: Glossema::Document, as it is cut now; old: its rows in order; lost: those of them that go.
  def initialize(document, fresh, old, lost)
    @document, @fresh = document, fresh
    @lost = lost.group_by(&:unit_id)
    @began = beginnings(old.map { |row| [row, row.unit_id, row.source_content] })
    @begins = beginnings(fresh.segments.map { |segment| [segment.id, segment.unit.id, segment.content] })
  end

  # Makes the segment at an index a row of a staged document. given_again: collects the ids of translations
  # that were detached and are back.
  def add(index, staged, by, given_again)
    segment = @fresh.segments[index]
    row = Segment.create!(**Segment.row(@document, segment, index + 1), document_id: staged.id)
    again = DetachedTranslation.find_for(@document, segment.unit.id, row.source, except: given_again)
    return bring_again(again, row, segment, given_again) if again

    translated = translated_in(segment)
    translate(row, segment, translated, by) if translated.any?
  end

  private

  def translated_in(segment) = @lost[segment.unit.id].to_a.select { |one| one.target.present? }

  # A text cut as it once was has its translation of then; what was written meanwhile is offered beside it.
  def bring_again(kept, row, segment, given_again)
    kept.give(row)
    given_again << kept.id
    newer = translated_in(segment).reject { |one| one.origin["kind"] == "earlier" }
    row.update!(alternatives: row.alternatives + offers(newer)) if newer.any?
  end

  def translate(row, segment, translated, by)
    first, last = @begins.fetch(segment.id)
    own = translated.select { |one| @began.fetch(one).first.between?(first, last - 1) }
    row.alternatives += offers(translated)
    target = joined(own, segment.content)
    if target
      row.assign_attributes(target: target.well_formed.written, state: "draft", origin: { kind: "earlier" },
        version: 1)
    end
    row.save!
    @document.add_history(row, own)
    row.remember(by) if target
  end

  def joined(rows, content)
    rows.map { |one| @document.moved_codes(one.target_content, content) }
      .reduce { |sum, one| Glossema::Content.new(sum.items + [" "] + one.items) }
  end

  def offers(rows)
    rows.map do |one|
      { source: one.source_content.text, target: one.target_content.text, origin: "earlier" }
    end
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
end
