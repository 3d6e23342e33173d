# Takes units from an exchange file into a memory: in slices, each whole or not at all; the same source and target is never
# doubled. Can be cancelled, and begun again after a crash: what is in already is passed over.
class UnitImport
  SLICE = 1000
  # Texts that are themselves what makes two sources the same.
  FOLDED = /\A[!-~]+(?: [!-~]+)*\z/
  TOUCH = 1.0

  Cancelled = Class.new(StandardError)

  # change: a MemoryChange; its options say "different": "both" or "newer", what happens when a source is there with another
  # target. The block is called now and then.
  def initialize(change, &tell)
    @change, @memory, @tell = change, change.memory, tell
    @newer = change.options["different"] == "newer"
    @writer = MemoryWriter.new(@memory)
    @facts = { "read" => 0, "added" => 0, "same" => 0, "updated" => 0, "skipped" => 0, "faults" => [] }
    @touched = 0.0
  end

  # io: the file. Returns the facts. Raises Refused when nothing can be read.
  def run(io, name)
    @first = @change.facts["first"] || (MemoryUnit.maximum(:id).to_i + 1)
    @change.update!(state: "running", facts: @change.facts.merge(noted), total: io.size)
    finish_earlier
    waiting = []
    each_pair(io, name) do |pair, at|
      waiting << pair
      next if waiting.size < SLICE

      take(waiting, at)
      waiting = []
    end
    take(waiting, io.size)
    close("done")
  rescue Cancelled
    close("cancelled")
  rescue Glossema::Refused => e
    @change.update!(state: "failed", facts: @facts.merge("message" => e.message))
    raise
  end

  # Indexes what an import that died had taken in but not yet indexed.
  def finish_earlier
    first, last = @change.facts.values_at("first", "indexed")
    # Units of an import have rising ids; the first stands in its facts before any is there.
    units = MemoryUnit.where(import_id: @change.id).where("id > ?", [last.to_i, first.to_i - 1].max)
    units.find_each(batch_size: SLICE) { |unit| index(unit.id, *again(unit)) }
    complete
  end

  private

  def again(unit) = [(words = MemoryIndex::Grams.tokens(MemoryIndex.plain(unit.source)).first).size, MemoryIndex::Grams.sketch(MemoryIndex::Grams.singles(words)), MemoryIndex::Grams.all(words).pack("L*")]

  # Units of TMX as they are; of any other file with both languages those of its segments.
  def each_pair(io, name, &block)
    return each_of_document(io.read, name, &block) unless name.downcase.end_with?(".tmx") || io.read(400).to_s.tap { io.rewind }.delete("\0").include?("<tmx")

    result = Glossema::Exchange::Tmx.read(io, name: name, source_lang: @memory.source_lang, target_lang: @memory.target_lang, &block)
    @facts["skipped"] += result[:skipped]
    @facts["faults"] = result[:faults].first(50).map(&:to_h)
    @facts["faulty"] = result[:faults].size
  end

  def each_of_document(bytes, name)
    document = Glossema::Document.new(bytes, name: name, language: @memory.source_lang, options: @change.options.fetch("columns", {}))
    raise Glossema::Refused.new("not-bilingual", "#{name} holds no translations beside its texts. For a table, say which columns hold source and target.") unless document.bilingual?

    document.segments.each do |segment|
      next @facts["skipped"] += 1 if segment.target.nil? || segment.target.blank? || segment.content.blank?

      attributes = { "file" => name, "key" => segment.unit.key.to_s }.reject { |_, value| value.empty? }
      yield Glossema::Exchange::Tmx::Pair.new(source: segment.content.written, target: segment.target.written, attributes: attributes, codes: nil, extra: nil), 0
    end
  end

  def take(pairs, at)
    @facts["read"] += pairs.size
    rows = pairs.filter_map { |pair| prepared(pair) }
    ApplicationRecord.transaction { @writer.insert(fresh(rows)) { |*unit| index(*unit) } }
    complete if @full
    now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    return if now - @touched < TOUCH

    @touched = now
    raise Cancelled if MemoryChange.where(id: @change.id).pick(:state) == "cancelled"

    @change.update_columns(done: at, facts: @facts.merge(noted), updated_at: Time.current)
    @tell&.call
  end

  # [source, target, hash, words, …] of a pair, nil for what is no unit.
  def prepared(pair)
    return (@facts["skipped"] += 1) && nil if pair.source.length > MemoryUnit::LONGEST || pair.target.length > MemoryUnit::LONGEST

    coded = pair.source.include?("{") || pair.source.include?("\\")
    hash = coded || !pair.source.match?(FOLDED) ? MemoryUnit.hash_of(Glossema::Content.from_written(pair.source)) : Digest::SHA1.hexdigest(pair.source)[0, 15].hex
    told = pair.attributes
    times = told.values_at("created_at", "updated_at").map { |time| time ? time.tr("T", " ").delete_suffix("Z") : @now ||= Time.current.utc.strftime("%Y-%m-%d %H:%M:%S") }
    words, marks = MemoryIndex::Grams.tokens(coded ? MemoryIndex.plain(pair.source) : pair.source)
    singles = MemoryIndex::Grams.singles(words)
    [pair.source, pair.target, hash, MemoryIndex::Grams.signature(words, marks, singles), told["author"], told["changed_by"], told["client"], told["subject"], told["project"], told["file"],
     told["origin"] || "imported", told["key"], told["previous"]&.to_i(36), told["next"]&.to_i(36), pair.codes && JSON.generate(pair.codes), pair.extra && JSON.generate(pair.extra), told["used"].to_i, @change.id, *times,
     words.size, MemoryIndex::Grams.sketch(singles), MemoryIndex::Grams.all(words, singles).pack("L*")]
  end

  # The rows that are new; others are passed over, or where she wants that take the place of an older translation.
  def fresh(rows)
    known = Hash.new { |hash, key| hash[key] = {} }
    rows.map { |row| row[2] }.uniq.each_slice(500) do |hashes|
      @memory.units.where(source_hash: hashes).pluck(:source_hash, :target, :id, :updated_at, :source).each { |hash, target, id, changed, source| known[hash][target] = [id, changed, source] }
    end
    rows.select do |row|
      source, target, hash = row
      others = known[hash]
      next (@facts["same"] += 1) && false if others.key?(target)
      next replaced(others, row) && false if @newer && others.any?

      others[target] = [nil, nil, source]
      @facts["added"] += 1
    end
  end

  # Newer wins.
  def replaced(others, row)
    old, (id, changed) = others.max_by { |_, (_, time)| time || Time.zone.at(0) }
    return @facts["same"] += 1 if id.nil? || changed >= Time.zone.parse(row[-4])

    unit = MemoryUnit.find(id)
    MemoryUnitVersion.create!(unit_id: id, change_id: @change.id, before: unit.kept)
    @writer.change(unit, target: row[1], changed_by: row[4], updated_at: Time.zone.parse(row[-4]))
    @facts["updated"] += 1
    others.delete(old)
    others[row[1]] = [id, Time.zone.parse(row[-4]), row[0]]
  end

  def index(id, count, sketch, grams)
    @builder ||= MemoryIndex::Builder.new(@memory.id, id)
    @builder.add(id, count, sketch, grams)
    @last = id
    @waiting = @waiting.to_i + 1
    @full = @waiting >= MemoryIndex::PART
  end

  def complete
    @builder&.finish
    @builder, @waiting, @full, @indexed = nil, 0, false, @last || @indexed
  end

  def close(state)
    complete
    @change.update!(state: state, done: @change.total, facts: @facts.merge(noted), summary: summary)
    index = MemoryIndex.new(@memory.id)
    index.compact if index.crowded?
    @memory.touch
    @facts
  end

  # Where its units stand, and who works on it.
  def noted = { "pid" => Process.pid, "first" => @first, "last" => @last || @change.facts["last"] || 0, "indexed" => @indexed || @change.facts["indexed"] || 0 }

  def summary = "#{@facts['added']} added, #{@facts['updated']} updated, #{@facts['same']} known"
end
