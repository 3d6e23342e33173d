# A look at what cutting a text anew would do to its translation, before it is done.
class Document::SegmentationPreview
  EXAMPLES = 5

  # documents: those that would be cut; settings: {by:, options:} for one of them; rules: an Srx, or nil for
  # today's.
  def initialize(documents, settings: {}, rules: nil)
    @documents, @settings, @rules = documents, settings.compact, rules
  end

  # {before:, after: segments; kept:, loose: translated segments that stay as they are, or become drafts under
  # other texts; examples: their sources}.
  def to_h
    sums = { before: 0, after: 0, kept: 0, loose: 0, examples: [] }
    @documents.each { |document| add(sums, document) }
    sums
  end

  private

  def add(sums, document)
    document.assign_attributes(@settings)
    fresh, old = document.opened(as_stored: false, rules: @rules).segments, document.segments.to_a
    places = [old.map { |row| place(row.unit_id, row.source_content) }, fresh.map { |one|
      place(one.unit.id, one.content)
    }]
    same = Glossema::Revision.new(*places).links.select { |link| link.kind == :same }.to_h { |link| [link.old, true] }
    translated, loose = old.each_index.select { |index|
      old[index].target.present?
    }.partition { |index| same[index] }
    sums[:before] += old.size
    sums[:after] += fresh.size
    sums[:kept] += translated.size
    sums[:loose] += loose.size
    sums[:examples] |= loose.map { |index| old[index].source_content.text.truncate(120) }
    sums[:examples] = sums[:examples].first(EXAMPLES)
  end

  def place(unit, content) = Document::Cutting::Place.new(unit, false, content)
end
