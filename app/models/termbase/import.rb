# The entries of a file imported into a termbase and merged with what is there: in small steps, so that others
# get their turn; after a restart it goes on where it was.
class Termbase::Import
  # How an entry finds the one it is the same as: by its id, by a term of the same language, or not at all.
  WAYS = %w[id term add].freeze
  # So many entries are written at a time; so many faults are kept.
  BATCH = 40
  FAULTS = 50
  # How far it is in the file is counted in so many parts.
  PARTS = 1000

  # operation: an Operations::TermImport.
  def initialize(operation)
    @operation, @termbase, @by = operation, operation.subject, operation.user
    @way = operation.input["way"]
  end

  # Takes in what is not in yet.
  def run
    @counts = Hash.new(0).merge(@operation.result.slice("read", "added", "merged", "same"))
    @known, @seen, @doubled, pending, @left = known, {}, [], [], @counts["read"]
    read = entries { |entry, share| take(entry, share, pending) }
    write(pending, 1.0)
    finish(read)
  ensure
    @termbase.announce_change
  end

  private

  def entries(&)
    file = @operation.files.first
    Glossema::Exchange::TermFile.read(file.download, name: file.filename.to_s,
      languages: @termbase.languages, roles: @operation.input["roles"], &)
  end

  # One of the file: those that are in already are passed over.
  def take(entry, share, pending)
    note_doubled(entry)
    return @left -= 1 if @left.positive?

    pending << entry
    return if pending.size < BATCH

    write(pending, share)
    pending.clear
  end

  def note_doubled(entry)
    return if entry.id.nil?

    @doubled << entry.id if @seen[entry.id] && @doubled.size < FAULTS
    @seen[entry.id] = true
  end

  # One step, whole or not at all.
  def write(batch, share)
    @operation.checkpoint
    ShortTransaction.run do
      recorder = Termbase::Recorder.new(@termbase, @operation, @termbase.next_revision, @by)
      fresh = []
      batch.each { |entry| place(entry, fresh, recorder) }
      add(fresh, recorder)
      @counts["read"] += batch.size
      count = @operation.result["count"].to_i + recorder.count
      @operation.update!(done: (share * PARTS).round, total: PARTS,
        result: { **@operation.result, **@counts, "count" => count })
    end
    ShortTransaction.pause
  end

  # An entry that is there already is merged with it; two of one batch may be the same as well.
  def place(entry, fresh, recorder)
    id = keys(entry).filter_map { |key| @known[key] }.first
    return begun(entry, fresh) unless id

    add(fresh, recorder) if id == :fresh
    id = keys(entry).filter_map { |key| @known[key] }.first
    merge(@termbase.entries.find(id), entry, recorder)
  end

  def begun(entry, fresh)
    fresh << entry
    keys(entry).each { |key| @known[key] = :fresh }
  end

  def add(fresh, recorder)
    fresh.zip(recorder.add_all(fresh)).each do |entry, id|
      keys(entry).each { |key| @known[key] = id if @known[key] == :fresh }
    end
    @counts["added"] += fresh.size
    fresh.clear
  end

  def merge(record, entry, recorder)
    merged = record.entry.merged_with(entry)
    same = merged.to_data == record.data
    recorder.change(record, merged)
    @counts[same ? "same" : "merged"] += 1
  end

  # {what an entry is found by => id of its record}
  def known
    case @way
    when "add" then {}
    when "id"
      @termbase.entries.there.pluck(Arel.sql("json_extract(data, '$.id')"), :id).to_h.except(nil)
    else
      terms = Term.where(termbase_id: @termbase.id).order(id: :desc)
      terms.pluck(:lang, :folded, :term_entry_id).to_h { |lang, folded, id| [[lang, folded], id] }
    end
  end

  def keys(entry)
    return [] if @way == "add"
    return [entry.id].compact if @way == "id"

    entry.sections.flat_map do |section|
      section.terms.map { |term| [section.lang, Glossema::Terms::Alike.fold(term.written)] }
    end
  end

  def finish(read)
    @termbase.update!(head: read[:head]) if @termbase.head.blank? && read[:head].present?
    faults = read[:faults].first(FAULTS).map { |fault| { "line" => fault.line, "message" => fault.message } }
    twice = @doubled.uniq.map { |id| { "line" => nil, "message" => I18n.t("term_import.doubled", id: id) } }
    @operation.note("faults" => faults + twice)
  end
end
