# The terms that stand in a segment's source, from all termbases of its project in their order, with what they
# are in the target language; and what can be carried over.
class Segment::Terms
  # text: of its source, or a part of it.
  def initialize(segment, text = segment.source_content.text)
    @project, @text = segment.project, text
  end

  # {terms: [{from:, to:, term:, entry_id:, termbase:, targets: [{text:, at_start:, usable:, status:,
  # note:}]}],
  #  carried: [{from:, to:, kind:, source:, target:, may_be_word:}]}
  def to_h
    {
      terms: found.uniq { |row| row.values_at(:from, :to, :entry_id, :targets) },
      carried: carried.map { |one| { **one.to_h, may_be_word: one.may_be_word? } }
    }
  end

  private

  def found
    @project.attached_termbases.usable.includes(termbase: :remote).flat_map do |row|
      in_termbase(row.termbase).map { |one| term(one, row.termbase) }
    end.sort_by { |row| [row[:from], -row[:to]] }
  end

  # What one on another server answered, as far as it was asked.
  def in_termbase(termbase)
    return Termbase::Finders.fetch(termbase, @project.source_lang).find(@text) unless termbase.remote

    digest = RemoteAnswer.digest("terms", [@project.source_lang, @project.target_lang], @text)
    RemoteAnswer.known(termbase.remote, [digest])[digest].to_a.map do |found|
      entry = Glossema::Terms::Entry.from_data(found["entry"])
      term = entry.terms.find { |one| one.text == found["term"] } || entry.terms.first
      Glossema::Terms::Found.new(found["from"], found["to"], term, entry)
    end
  end

  def term(one, termbase)
    terms = one.entry.in(@project.target_lang).flat_map(&:terms).sort_by(&:rank)
    {
      from: one.from, to: one.to, term: one.term.written, termbase: termbase.name,
      entry_id: termbase.remote ? nil : one.entry.id,
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

  # What is never to be translated goes along as it stands, and covers figures inside it.
  def carried
    kept = Glossema::Terms::Listed.new(@project.never_translated).find(@text).map do |one|
      Glossema::Forms::Carry.new(one.from, one.to, "kept", one.text, one.text)
    end
    figures = Glossema::Forms::Carried.in(@text, @project.source_lang, @project.target_lang)
    figures.reject! { |one| kept.any? { |other| one.from < other.to && other.from < one.to } }
    (kept + figures).sort_by(&:from)
  end
end
