# The entries of a file taken into a termbase as one act, and merged with what is there.
class Termbase::Import
  # How an entry finds the one it is the same as: by its id, by a term of the same language, or not at all.
  WAYS = %w[id term add].freeze

  def initialize(termbase, by:, way: "id")
    @termbase, @by = termbase, by
    @way = WAYS.include?(way) ? way : "id"
    @facts = { "added" => 0, "merged" => 0, "same" => 0 }
  end

  # bytes, name: of a TBX file or table; roles: of the columns of a table. Returns the act. Raises Refused,
  # and then nothing is written.
  def run(bytes, name, roles: nil)
    @known = known
    @termbase.act("import", by: @by, summary: name) do |recorder|
      read = Glossema::Exchange::TermFile.read(bytes, name: name, languages: @termbase.languages,
        roles: roles) do |entry, _|
        take(entry, recorder)
      end
      @termbase.update!(head: read[:head]) if @termbase.head.blank? && read[:head].present?
      faults = read[:faults].first(50).map { |fault| { "line" => fault.line, "message" => fault.message } }
      recorder.facts(@facts.merge("faults" => faults))
    end
  end

  private

  # {what an entry is found by => id of its record}
  def known
    return {} if @way == "add"

    @termbase.entries.there.pluck(:id, :data).each_with_object({}) do |(id, data), found|
      keys(Glossema::Terms::Entry.from_data(data)).each { |key| found[key] ||= id }
    end
  end

  def keys(entry)
    return [entry.id].compact if @way == "id"

    entry.sections.flat_map do |section|
      section.terms.map { |term| [section.lang, Glossema::Terms::Alike.fold(term.written)] }
    end
  end

  def take(entry, recorder)
    id = keys(entry).filter_map { |key| @known[key] }.first unless @way == "add"
    id ? merge(@termbase.entries.find(id), entry, recorder) : add(entry, recorder)
  end

  def add(entry, recorder)
    record = recorder.add(entry)
    keys(entry).each { |key| @known[key] ||= record.id } unless @way == "add"
    @facts["added"] += 1
  end

  def merge(record, entry, recorder)
    merged = record.entry.merged_with(entry)
    same = merged.to_data == record.data
    recorder.change(record, merged)
    @facts[same ? "same" : "merged"] += 1
  end
end
