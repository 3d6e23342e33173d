# The terms that stand in a segment's source, from all termbases of its project in their order, with what they
# are in the target language; and what can be carried over.
class Segment::Terms
  def initialize(segment)
    @segment, @project = segment, segment.project
    @text = segment.source_content.text
  end

  # {terms: [{from:, to:, term:, entry_id:, termbase:, targets: [{text:, status:, forbidden:, note:}]}],
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
    {
      from: one.from, to: one.to, term: one.term.written, entry_id: one.entry.id, termbase: termbase.name,
      targets: one.entry.in(@project.target_lang).flat_map(&:terms).sort_by(&:rank).map { |term|
        target(term, one)
      }
    }
  end

  # In the case the place asks for: a capital at the beginning of a sentence.
  def target(term, found)
    {
      text: term.written, put: Glossema::Terms::Placed.text(term, @text, found.from),
      usable: term.usable?, status: term.forbidden ? "forbidden" : term.status, note: term.note
    }
  end

  def carried = Glossema::Forms::Carried.in(@text, @project.source_lang, @project.target_lang)
end
