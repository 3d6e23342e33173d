# Adding a pair of terms on the way: it joins the entry that has one of them already, and what is nearly there
# already is shown before.
module Termbase::Adding
  # made: :new, :joined, :there, :likely, or :sent to another server; entry: the record; likely: entries it
  # may be the same as.
  Added = Struct.new(:made, :entry, :likely, :operation)

  # pair: {tag => text} of two languages. anyway: make it though something likely is there.
  def add_pair(pair, by:, anyway: false)
    pair = pair.transform_values { |text| text.strip.unicode_normalize(:nfc) }
    raise Glossema::Refused.new("term-missing") if pair.values.any?(&:empty?)

    remote ? send_pair(pair, by) : take_in_pair(pair, by, anyway)
  end

  # Is it on another server that does not accept entries of this user?
  def closed? = remote.present? && !(remote.writes && remote.may_write?)

  private

  # Terms go to the languages the termbase has: to English where it has English without a region.
  def in_own_languages(pair)
    own = Term.where(termbase_id: id).distinct.pluck(:lang)
    pair.transform_keys do |tag|
      primary = Glossema::Languages.primary(tag)
      own.include?(tag) || own.exclude?(primary) ? tag : primary
    end
  end

  def take_in_pair(pair, by, anyway)
    pair = in_own_languages(pair)
    same = holding(pair)
    full = same.find { |record| pair.all? { |tag, text| record.term?(tag, text) } }
    return Added.new(:there, full, []) if full
    return join(same.first, pair, by) if same.any?

    likely = anyway ? [] : alike(pair)
    return Added.new(:likely, nil, likely) if likely.any?

    make(pair, by)
  end

  def send_pair(pair, by)
    entry = Glossema::Terms::Entry.new(sections: pair.map { |tag, text| section(tag, text) })
    OutgoingRequest.queue(remote, { "entry" => entry.to_data }, user: by)
    Added.new(:sent, nil, [])
  end

  # Entries that have one of the terms as it is written, those with the first first.
  def holding(pair)
    ids = pair.flat_map do |tag, text|
      folded = Glossema::Terms::Alike.fold(text)
      Term.where(termbase_id: id, folded: folded).order(:id)
        .select { |term| Glossema::Languages.same?(term.lang, tag) }.map(&:term_entry_id)
    end
    found = entries.there.where(id: ids).index_by(&:id)
    ids.uniq.filter_map { |one| found[one] }
  end

  # Entries one of whose terms is a form of one of these.
  def alike(pair)
    pair.flat_map do |tag, text|
      finder = Termbase::Finders.fetch(self, tag)
      finder.find(text).select { |found|
        found.from.zero? && found.to == text.length
      }.map { |found| found.entry.id }
    end.uniq.then { |ids| entries.there.where(id: ids).to_a }
  end

  def make(pair, by)
    sections = pair.map { |tag, text| section(tag, text) }
    record = nil
    done = record_change(Operations::TermAddition, by: by, summary: pair.values.join(" · ")) do |recorder|
      record = recorder.add(Glossema::Terms::Entry.new(sections: sections))
    end
    Added.new(:new, record, [], done)
  end

  def join(record, pair, by)
    entry = record.entry
    pair.each do |tag, text|
      next if record.term?(tag, text)

      own = entry.in(tag).first
      own ? own.terms << Glossema::Terms::Term.new(text: text) : entry.sections << section(tag, text)
    end
    summary = pair.values.join(" · ")
    done = record_change(Operations::TermEdit, by: by, summary: summary) do |recorder|
      recorder.change(record, entry)
    end
    Added.new(:joined, record, [], done)
  end

  def section(tag, text)
    Glossema::Terms::Section.new(lang: tag, terms: [Glossema::Terms::Term.new(text: text)])
  end
end
