# A termbase of the user, as the core's service takes it.
class RemoteKey::TermbasePort
  def initialize(termbase, key)
    @termbase, @key = termbase, key
  end

  delegate :languages, :size, to: :@termbase

  def finder(tag) = Termbase::Finders.fetch(@termbase, tag)

  def entries(after:, limit:)
    @termbase.entries.there.where("id > ?", after).order(:id).limit(limit).map do |record|
      record.entry.tap { |entry| entry.id = record.id.to_s }
    end
  end

  # An entry that has a term of one that is there joins it.
  def learn(entries)
    count = 0
    @termbase.record_change(Operations::TermAddition, by: nil, summary: @key.name) do |recorder|
      entries.each { |entry| count += 1 if take(entry, recorder) }
    end
    count
  end

  private

  def take(entry, recorder)
    entry.id = nil
    record = @termbase.entries.there.where(id: same(entry)).order(:id).first
    return recorder.add(entry) unless record

    merged = record.entry.merged_with(entry)
    merged.to_data != record.data && recorder.change(record, merged)
  end

  def same(entry)
    entry.sections.flat_map do |section|
      folded = section.terms.map { |term| Glossema::Terms::Alike.fold(term.written) }
      Term.where(termbase_id: @termbase.id, lang: section.lang, folded: folded).pluck(:term_entry_id)
    end
  end
end
