# Takes units from an exchange file into a memory: in short transactions; the same source and target is never
# doubled. After a kill it begins again: what is in already is passed over.
class Memory::Import
  # Larger files are read by a process of their own.
  OWN_PROCESS_FROM = 2 << 20
  READER = Rails.root.join("bin/read-units").to_s
  LOG = Rails.root.join("log/read-units.log").to_s
  # So many units are written in a transaction.
  BATCH = 100

  # operation: an Operations::UnitImport; its input says "different": "both" or "newer", what happens when a
  # source is there with another target.
  def initialize(operation)
    @operation, @memory = operation, operation.subject
    @newer = operation.input["different"] == "newer"
    @writer = Memory::Writer.new(@memory)
    @facts = { "read" => 0, "added" => 0, "same" => 0, "updated" => 0, "skipped" => 0, "faults" => [] }
  end

  # io: the file. Returns the facts. Raises Refused when nothing can be read, and what a checkpoint raises.
  def run(io, name)
    @first = @operation.result["first"] || (TranslationUnit.maximum(:id).to_i + 1)
    @operation.update!(result: @operation.result.merge(noted), total: io.size)
    result =
      ReadInPlace.without do
        finish_earlier
        read(io, name) { |rows, at| take(rows, at) }
      end
    @facts["skipped"], @facts["faults"], @facts["faulty"] = result.to_a
    close
  rescue Glossema::Refused
    complete
    raise
  end

  # Indexes what an import that was stopped had taken in but not yet indexed.
  def finish_earlier
    first, last = @operation.result.values_at("first", "indexed")
    # Units of an import have rising ids; the first stands in its facts before any is there.
    units = TranslationUnit.where(import_id: @operation.id).where("id > ?", [last.to_i, first.to_i - 1].max)
    units.find_each { |unit| index(unit.id, TranslationUnit.entry(unit.source)) }
    complete
  end

  private

  # Yields slices of UnitReader's rows and how far in the file they end; returns its result.
  def read(io, name, &block)
    columns = @operation.input.fetch("columns", {})
    languages = [@memory.source_lang, @memory.target_lang]
    unless io.respond_to?(:path) && io.size > OWN_PROCESS_FROM
      return Glossema::Exchange::UnitReader.new(io, name, languages, columns).each_slice(&block)
    end

    arguments = [io.path, name, *languages, JSON.generate(columns)]
    command = [RbConfig.ruby, "--yjit", "--yjit-exec-mem-size=32", "-I", "#{Glossema::ROOT}/lib", READER]
    IO.popen([*command, *arguments], "rb", err: [LOG, "a"]) { |pipe| pass_on(pipe, &block) }
  end

  def pass_on(pipe)
    loop do
      kind, *said = Marshal.load(pipe) # rubocop:disable Security/MarshalLoad -- our own process writes it
      case kind
      when :rows
        yield said
      when :done
        return said.first
      else
        key, details = said
        raise Glossema::Refused.new(key, **details)
      end
    end
  rescue EOFError
    raise Glossema::Refused.new("reading-ended")
  end

  def take(rows, at)
    @operation.checkpoint
    @facts["read"] += rows.size
    rows.each_slice(BATCH) do |batch|
      ShortTransaction.run do
        @writer.insert(fresh(batch).map { |row| stored(row) }) { |id, entry| index(id, entry) }
      end
      ShortTransaction.pause
    end
    complete if @full
    @operation.update_columns(done: at, result: @operation.result.merge(@facts, noted),
      updated_at: Time.current)
  end

  # [values as Memory::Writer inserts them, entry, plain texts]
  def stored(row)
    given = row.attributes
    values = [
      row.source,
      row.target,
      hash_of(row),
      SQLite3::Blob.new(row.entry.signature),
      given["author"],
      given["changed_by"],
      given["client"],
      given["subject"],
      given["project"],
      given["file"],
      given["origin"] || "imported",
      given["key"],
      given["previous"]&.to_i(36),
      given["next"]&.to_i(36),
      row.codes && JSON.generate(row.codes),
      row.extra && JSON.generate(row.extra),
      given["used"].to_i,
      @operation.id,
      time(given["created_at"]),
      time(given["updated_at"])
    ]
    [values, row.entry, row.plain]
  end

  def hash_of(row) = TranslationUnit.hash_of_key(row.identity)

  def time(stamp) = stamp ? stamp.tr("T", " ").delete_suffix("Z") : now
  def now = @now ||= Time.current.utc.strftime("%Y-%m-%d %H:%M:%S")

  # The rows that are new; others are skipped, or replace an older translation if the user wants that.
  def fresh(rows)
    known = known(rows.map { |row| hash_of(row) })
    rows.select do |row|
      others = known[hash_of(row)]
      next counted(others[row.target]) && false if others.key?(row.target)
      next replaced(others, row) && false if @newer && others.any?

      others[row.target] = []
      @facts["added"] += 1
    end
  end

  # A unit that is there: brought by this import before it was stopped, or known already.
  def counted(unit) = @facts[unit[2] == @operation.id ? "added" : "same"] += 1

  # {hash of a source => {target => [id, time of change, import that brought it]}}
  def known(hashes)
    found = Hash.new { |all, hash| all[hash] = {} }
    hashes
      .uniq
      .each_slice(500) do |some|
        Memory::Index
          .select(
            "SELECT source_hash, target, id, updated_at, import_id FROM translation_units " \
              "WHERE memory_id = ? " \
              "AND source_hash IN (#{some.join(",")})",
            [@memory.id]
          )
          .each { |hash, target, *about| found[hash][target] = about }
      end
    found
  end

  # Newer wins.
  def replaced(others, row)
    old, (id, changed) = others.max_by { |_, (_, time)| time.to_s }
    now = time(row.attributes["updated_at"])
    return @facts["same"] += 1 if id.nil? || changed.to_s[0, 19] >= now

    unit = TranslationUnit.find(id)
    TranslationUnitVersion.create!(unit_id: id, operation_id: @operation.id, before: unit.kept)
    @writer.change(
      unit,
      target: row.target,
      changed_by: row.attributes["changed_by"],
      updated_at: Time.zone.parse(now)
    )
    @facts["updated"] += 1
    others.delete(old)
    others[row.target] = [id, now]
  end

  def index(id, entry)
    @builder ||= Memory::Index::Builder.new(@memory.id, id)
    @builder.add(id, entry)
    @last = id
    @waiting = @waiting.to_i + 1
    @full = @waiting >= Memory::Index::PART
  end

  def complete
    @builder&.finish
    @builder, @waiting, @full, @indexed = nil, 0, false, @last || @indexed
  end

  def close
    complete
    @operation.note(**@facts, **noted)
    index = Memory::Index.new(@memory.id)
    index.compact if index.crowded?
    @memory.touch
    @facts
  end

  # Where its units stand.
  def noted =
    {
      "first" => @first,
      "last" => @last || @operation.result["last"] || 0,
      "indexed" => @indexed || @operation.result["indexed"] || 0
    }
end
