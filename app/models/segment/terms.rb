# The terms that stand in a segment's source, from all termbases of its project in their order, with what they
# are in the target language; and what can be carried over.
class Segment::Terms
  def initialize(segment)
    @segment, @project = segment, segment.project
    @text = segment.source_content.text
  end

  # {terms: [{from:, to:, term:, entry_id:, termbase:, targets: [{text:, at_start:, usable:, status:,
  # note:}]}],
  #  carried: [{from:, to:, kind:, source:, target:}]}
  def to_h
    { terms: found.uniq { |row| row.values_at(:from, :to, :entry_id) }, carried: carried.map(&:to_h) }
  end

  private

  def found
    @project.attached_termbases.usable.includes(:termbase).flat_map do |row|
      Termbase::Finders.of(row.termbase, @project.source_lang).find(@text).map { |one| term(one, row.termbase) }
    end.sort_by { |row| [row[:from], -row[:to]] }
  end

  def term(one, termbase)
    terms = one.entry.in(@project.target_lang).flat_map(&:terms).sort_by(&:rank)
    {
      from: one.from, to: one.to, term: one.term.written, entry_id: one.entry.id, termbase: termbase.name,
      targets: terms.map { |term| target(term) }
    }
  end

  # With how it is written at the beginning of a sentence.
  def target(term)
    {
      text: term.written, at_start: Glossema::Terms::Placed.beginning(term.written),
      usable: term.usable?, status: term.forbidden ? "forbidden" : term.status, note: term.note
    }
  end

  def carried = Glossema::Forms::Carried.in(@text, @project.source_lang, @project.target_lang)
end
