# Takes units from an exchange file into a memory: in slices, each whole or not at all; the same source and
# target is never doubled. Can be cancelled, and begun again after a crash: what is in already is passed over.
class Memory::Import
  # Larger files are read by a process of their own.
  OWN_PROCESS_FROM = 2 << 20
  READER = Rails.root.join("bin/read-units").to_s
  LOG = Rails.root.join("log/read-units.log").to_s
  TOUCH = 1.0

  Cancelled = Class.new(StandardError)

  # change: a MemoryChange; its options say "different": "both" or "newer", what happens when a source is
  # there with another target. The block is called now and then.
  def initialize(change, &tell)
    @change, @memory, @tell = change, change.memory, tell
    @newer = change.options["different"] == "newer"
    @writer = Memory::Writer.new(@memory)
    @facts = { "read" => 0, "added" => 0, "same" => 0, "updated" => 0, "skipped" => 0, "faults" => [] }
    @touched = 0.0
  end

  # io: the file. Returns the facts. Raises Refused when nothing can be read.
  def run(io, name)
    @first = @change.facts["first"] || (MemoryUnit.maximum(:id).to_i + 1)
    @change.update!(state: "running", facts: @change.facts.merge(noted), total: io.size)
    result =
      ReadInPlace.without do
        finish_earlier
        read(io, name) { |rows, at| take(rows, at) }
      end
    @facts["skipped"], @facts["faults"], @facts["faulty"] = result.to_a
    close("done")
  rescue Cancelled
    close("cancelled")
  rescue Glossema::Refused => e
    complete
    @change.update!(state: "failed", facts: @facts.merge("message" => e.message))
    raise
  end

  # Indexes what an import that died had taken in but not yet indexed.
  def finish_earlier
    first, last = @change.facts.values_at("first", "indexed")
    # Units of an import have rising ids; the first stands in its facts before any is there.
    units = MemoryUnit.where(import_id: @change.id).where("id > ?", [last.to_i, first.to_i - 1].max)
    units.find_each { |unit| index(unit.id, MemoryUnit.entry(unit.source)) }
    complete
  end

  private

  # Yields slices of UnitReader's rows and how far in the file they end; returns its result.
  def read(io, name, &block)
    columns = @change.options.fetch("columns", {})
    languages = [@memory.source_lang, @memory.target_lang]
    unless io.respond_to?(:path) && io.size > OWN_PROCESS_FROM
      return Glossema::Exchange::UnitReader.new(io, name, languages, columns).each_slice(&block)
    end

    command = [
      RbConfig.ruby,
      "--yjit",
      "--yjit-exec-mem-size=32",
      "-I",
      "#{Glossema::ROOT}/lib",
      READER,
      io.path,
      name,
      *languages,
      JSON.generate(columns)
    ]
    IO.popen(command, "rb", err: [LOG, "a"]) { |pipe| pass_on(pipe, &block) }
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
    @facts["read"] += rows.size
    ApplicationRecord.transaction do
      @writer.insert(fresh(rows).map { |row| stored(row) }) { |id, entry| index(id, entry) }
    end
    complete if @full
    now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    return if now - @touched < TOUCH

    @touched = now
    raise Cancelled if MemoryChange.where(id: @change.id).pick(:state) == "cancelled"

    @change.update_columns(done: at, facts: @facts.merge(noted), updated_at: Time.current)
    @tell&.call
  end

  # [values as Memory::Writer inserts them, entry, plain texts]
  def stored(row)
    told = row.attributes
    values = [
      row.source,
      row.target,
      hash_of(row),
      SQLite3::Blob.new(row.entry.signature),
      told["author"],
      told["changed_by"],
      told["client"],
      told["subject"],
      told["project"],
      told["file"],
      told["origin"] || "imported",
      told["key"],
      told["previous"]&.to_i(36),
      told["next"]&.to_i(36),
      row.codes && JSON.generate(row.codes),
      row.extra && JSON.generate(row.extra),
      told["used"].to_i,
      @change.id,
      time(told["created_at"]),
      time(told["updated_at"])
    ]
    [values, row.entry, row.plain]
  end

  def hash_of(row) = MemoryUnit.hash_of_key(row.identity)

  def time(stamp) = stamp ? stamp.tr("T", " ").delete_suffix("Z") : now
  def now = @now ||= Time.current.utc.strftime("%Y-%m-%d %H:%M:%S")

  # The rows that are new; others are passed over, or where she wants that take the place of an older
  # translation.
  def fresh(rows)
    known = known(rows.map { |row| hash_of(row) })
    rows.select do |row|
      others = known[hash_of(row)]
      next (@facts["same"] += 1) && false if others.key?(row.target)
      next replaced(others, row) && false if @newer && others.any?

      others[row.target] = [nil, nil]
      @facts["added"] += 1
    end
  end

  # {hash of a source => {target => [id, time of change]}}
  def known(hashes)
    found = Hash.new { |all, hash| all[hash] = {} }
    hashes
      .uniq
      .each_slice(500) do |some|
        Memory::Index
          .select(
            "SELECT source_hash, target, id, updated_at FROM memory_units WHERE memory_id = ? AND " \
              "source_hash IN (#{some.join(",")})",
            [@memory.id]
          )
          .each { |hash, target, id, changed| found[hash][target] = [id, changed] }
      end
    found
  end

  # Newer wins.
  def replaced(others, row)
    old, (id, changed) = others.max_by { |_, (_, time)| time.to_s }
    now = time(row.attributes["updated_at"])
    return @facts["same"] += 1 if id.nil? || changed.to_s[0, 19] >= now

    unit = MemoryUnit.find(id)
    MemoryUnitVersion.create!(unit_id: id, change_id: @change.id, before: unit.kept)
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

  def close(state)
    complete
    @change.update!(state: state, done: @change.total, facts: @facts.merge(noted), summary: summary)
    index = Memory::Index.new(@memory.id)
    index.compact if index.crowded?
    @memory.touch
    @facts
  end

  # Where its units stand, and who works on it.
  def noted =
    {
      "pid" => Process.pid,
      "first" => @first,
      "last" => @last || @change.facts["last"] || 0,
      "indexed" => @indexed || @change.facts["indexed"] || 0
    }

  def summary = "#{@facts["added"]} added, #{@facts["updated"]} updated, #{@facts["same"]} known"
end
