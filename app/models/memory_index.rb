# The index of memories on SQLite: which units share words and pairs of words with a text, and a full-text index for
# concordance. All storage tricks of memories are in here.
#
# Units taken in together form a part: for each of 16,384 blocks of grams one row, packed as two arrays of 32-bit integers, the
# heads (lower bits of the gram and class of length, sorted) and the unit ids. Units learned one by one are rows of their own
# until they are many. A posting may outlive its unit or its text: whoever looks up reads the unit itself afterwards, so the index
# has to hold too much rather than too little, and is right after any crash.
class MemoryIndex
  BLOCKS = 16_384
  LOW = 18
  CLASS_BITS = 5
  # How many units a part takes in at most while an import runs, and how many fresh rows or parts are made into one part.
  PART = 32_768
  FRESH = 200_000
  PARTS = 4
  # Of blocks larger than this many bytes only those are read that the plan needs.
  LARGE = 200_000
  # A gram of one unit weighs this; twice as many units, one less.
  WEIGHT = 20
  Grams = Glossema::Matching::Grams

  # Rails' schema file cannot say these, so they are made when first needed.
  TABLES = [
    "CREATE TABLE IF NOT EXISTS memory_parts (id INTEGER PRIMARY KEY, memory_id INTEGER NOT NULL, whole INTEGER NOT NULL DEFAULT 0)",
    "CREATE TABLE IF NOT EXISTS memory_postings (id INTEGER PRIMARY KEY, pairs BLOB NOT NULL)",
    "CREATE TABLE IF NOT EXISTS memory_fresh (memory_id INTEGER NOT NULL, gram INTEGER NOT NULL, class INTEGER NOT NULL, unit_id INTEGER NOT NULL, PRIMARY KEY (memory_id, gram, class, unit_id)) WITHOUT ROWID",
    "CREATE VIRTUAL TABLE IF NOT EXISTS memory_texts USING fts5(source, target, content='', tokenize='unicode61 remove_diacritics 2')"
  ].freeze

  class << self
    def connection
      raw = ApplicationRecord.connection.raw_connection
      prepare(raw) unless @ready
      raw
    end

    def prepare(raw = ApplicationRecord.connection.raw_connection)
      TABLES.each { |sql| raw.execute(sql) }
      @ready = true
    end

    # Rows as arrays, which cost less than records.
    def select(sql, values = [])
      statement = connection.prepare(sql)
      statement.bind_params(values)
      rows = []
      while (row = statement.step)
        rows << row
      end
      rows
    ensure
      statement&.close
    end

    # Puts the texts of a unit into the full-text index, or takes out those it was given.
    def put_text(unit_id, source, target) = connection.execute("INSERT INTO memory_texts (rowid, source, target) VALUES (?, ?, ?)", [unit_id, plain(source), plain(target)])
    def drop_text(unit_id, source, target) = connection.execute("INSERT INTO memory_texts (memory_texts, rowid, source, target) VALUES ('delete', ?, ?, ?)", [unit_id, plain(source), plain(target)])

    # The plain text of a written form, as concordance searches it.
    def plain(written) = written.match?(/[{\\]/) ? written.gsub(Glossema::Content::WRITTEN) { Regexp.last_match(1).to_s } : written
  end

  def initialize(memory_id)
    @memory_id = memory_id
  end

  # {unit id => weight of the grams in common, rare ones weighing more} for a text of these words; the likeliest matches at the score
  # are among them. weight: of the text as the score sees it; budget: how many postings to read, if fewer are not enough.
  def find(words, weight, score, budget)
    grams, hits = grams_of(words), Hash.new(0)
    pages = read_parts(grams)
    Grams.classes(words.size, weight, score).each do |first, last, pieces|
      next if first > last

      lists = slices(pages, first, last)
      read_fresh(grams, first, last).each { |gram, ids| (lists[gram] ||= []) << ids }
      sizes = lists.transform_values { |list| list.sum { |ids| ids.is_a?(String) ? ids.bytesize / 4 : ids.last } }
      Grams.plan(words, pieces, sizes, budget / 2).each do |gram|
        worth = [WEIGHT - Math.log2(sizes[gram] + 1).floor, 1].max
        lists[gram].each { |ids| (ids.is_a?(String) ? ids : slice(blob(ids.first), gram, first, last)).unpack("L*").each { |id| hits[id] += worth } }
      end
    end
    hits
  end

  # One unit, learned or edited.
  def add(unit_id, words)
    length = Grams.class_of(words.size)
    rows = Grams.all(words).map { |gram| "(#{@memory_id},#{gram},#{length},#{unit_id})" }
    raw.execute("INSERT OR IGNORE INTO memory_fresh (memory_id, gram, class, unit_id) VALUES #{rows.join(',')}") if rows.any?
  end

  # Collects units for a part. Not seen by lookups before `finish`.
  class Builder
    def initialize(memory_id, base)
      @memory_id, @base, @pairs = memory_id, base, []
    end

    def add(unit_id, words, singles)
      tail = (Grams.class_of(words.size) << 24) | (unit_id - @base)
      Grams.all(words, singles).each { |gram| @pairs << ((gram << 29) | tail) }
    end

    # Writes the part; the block is called now and then and may raise. Returns its number.
    def finish
      return if @pairs.empty?

      raw = MemoryIndex.connection
      @pairs.sort!
      part = ApplicationRecord.transaction { raw.execute("INSERT INTO memory_parts (memory_id) VALUES (?)", [@memory_id]) && raw.last_insert_row_id }
      rows = Enumerator.new do |out|
        from, size = 0, @pairs.size
        while from < size
          block = @pairs[from] >> (29 + LOW)
          limit = (block + 1) << (29 + LOW)
          to = (from...size).bsearch { |index| @pairs[index] >= limit } || size
          pairs = @pairs[from, to - from]
          out << [(part * BLOCKS) + block, pairs.map { |pair| (pair >> 24) & 0x7FFFFF }.pack("L*") << pairs.map { |pair| @base + (pair & 0xFFFFFF) }.pack("L*")]
          from = to
        end
      end
      MemoryIndex.write(rows)
      ApplicationRecord.transaction { raw.execute("UPDATE memory_parts SET whole = 1 WHERE id = ?", [part]) }
      @pairs = []
      part
    end
  end

  # rows: [[id, blob], …], written in short transactions so that others get their turn.
  def self.write(rows)
    rows.each_slice(4000) do |slice|
      ApplicationRecord.transaction do
        insert = connection.prepare("INSERT OR REPLACE INTO memory_postings (id, pairs) VALUES (?, ?)")
        slice.each { |id, pairs| insert.execute(id, SQLite3::Blob.new(pairs)) }
      ensure
        insert&.close
      end
    end
  end

  # Are there so many parts or fresh rows that lookups get slower?
  def crowded?
    parts.size > PARTS || first("SELECT COUNT(*) FROM (SELECT 1 FROM memory_fresh WHERE memory_id = ? LIMIT ?)", [@memory_id, FRESH]) >= FRESH
  end

  # Makes all parts and fresh rows one part, in short steps; lookups and learning go on meanwhile, and what is learned then stays fresh.
  def compact
    old = parts
    raw.execute("DROP TABLE IF EXISTS temp.seen_fresh")
    raw.execute("CREATE TEMP TABLE seen_fresh AS SELECT gram, class, unit_id FROM memory_fresh WHERE memory_id = #{@memory_id.to_i} ORDER BY gram")
    raw.execute("CREATE INDEX temp.seen_grams ON seen_fresh (gram)")
    return if old.size <= 1 && first("SELECT COUNT(*) FROM seen_fresh", []).zero?

    part = ApplicationRecord.transaction { raw.execute("INSERT INTO memory_parts (memory_id) VALUES (?)", [@memory_id]) && raw.last_insert_row_id }
    (0...BLOCKS).each_slice(256) { |blocks| MemoryIndex.write(merged(old, part, blocks)) }
    ApplicationRecord.transaction do
      raw.execute("UPDATE memory_parts SET whole = 0 WHERE id IN (#{old.join(',')})") if old.any?
      raw.execute("UPDATE memory_parts SET whole = 1 WHERE id = ?", [part])
      raw.execute("DELETE FROM memory_fresh WHERE memory_id = ? AND (gram, class, unit_id) IN (SELECT gram, class, unit_id FROM seen_fresh)", [@memory_id])
    end
    sweep
  ensure
    raw.execute("DROP TABLE IF EXISTS temp.seen_fresh")
  end

  # Away with parts that were never finished, or are no longer needed.
  def sweep
    MemoryIndex.select("SELECT id FROM memory_parts WHERE memory_id = ? AND whole = 0", [@memory_id]).flatten.each { |part| drop(part) }
  end

  # Everything of this memory.
  def clear
    ApplicationRecord.transaction { raw.execute("UPDATE memory_parts SET whole = 0 WHERE memory_id = ?", [@memory_id]) && raw.execute("DELETE FROM memory_fresh WHERE memory_id = ?", [@memory_id]) }
    sweep
  end

  private

  def raw = MemoryIndex.connection
  def first(sql, values) = MemoryIndex.select(sql, values).first&.first

  def parts = MemoryIndex.select("SELECT id FROM memory_parts WHERE memory_id = ? AND whole = 1", [@memory_id]).flatten

  def drop(part)
    (part * BLOCKS).step((part + 1) * BLOCKS, 8192) { |from| ApplicationRecord.transaction { raw.execute("DELETE FROM memory_postings WHERE id >= ? AND id < ?", [from, [from + 8192, (part + 1) * BLOCKS].min]) } }
    ApplicationRecord.transaction { raw.execute("DELETE FROM memory_parts WHERE id = ?", [part]) }
  end

  def grams_of(words)
    singles = Grams.singles(words)
    Grams.all(words, singles)
  end

  # {gram => [blob, or [id, pairs] of a large one, …]} of the blocks in which the grams stand.
  def read_parts(grams)
    by_id = parts.each_with_object({}) { |part, ids| grams.each { |gram| (ids[(part * BLOCKS) + (gram >> LOW)] ||= []) << gram } }
    pages = Hash.new { |hash, gram| hash[gram] = [] }
    by_id.keys.each_slice(500) do |ids|
      rows = MemoryIndex.select("SELECT id, length(pairs), CASE WHEN length(pairs) <= #{LARGE} THEN pairs END FROM memory_postings WHERE id IN (#{ids.join(',')})")
      rows.each { |id, length, pairs| by_id[id].each { |gram| pages[gram] << (pairs || [id, length / 8]) } }
    end
    pages
  end

  # What the blocks hold of each gram in some classes: packed ids, or of large blocks what stands for them.
  def slices(pages, first, last)
    pages.to_h { |gram, list| [gram, list.map { |page| page.is_a?(Array) ? page : slice(page, gram, first, last) }.reject(&:empty?)] }
  end

  def read_fresh(grams, first, last)
    rows = MemoryIndex.select("SELECT gram, unit_id FROM memory_fresh WHERE memory_id = ? AND gram IN (#{grams.join(',')}) AND class BETWEEN ? AND ?", [@memory_id, first, last])
    rows.group_by(&:first).transform_values { |found| found.map(&:last).pack("L*") }
  end

  def blob(id) = first("SELECT pairs FROM memory_postings WHERE id = ?", [id])

  # The unit ids of a gram and classes in a block, packed.
  def slice(pairs, gram, first, last)
    count = pairs.bytesize / 8
    head = (gram & 0x3FFFF) << CLASS_BITS
    low = (0...count).bsearch { |index| pairs.unpack1("L", offset: index * 4) >= head + first } or return ""
    high = (low...count).bsearch { |index| pairs.unpack1("L", offset: index * 4) > head + last } || count
    pairs.byteslice((count + low) * 4, (high - low) * 4)
  end

  # The rows of some blocks of the new part.
  def merged(old, part, blocks)
    pairs = Hash.new { |hash, block| hash[block] = [] }
    ids = old.flat_map { |one| blocks.map { |block| (one * BLOCKS) + block } }
    MemoryIndex.select("SELECT id, pairs FROM memory_postings WHERE id IN (#{ids.join(',')})").each do |id, blob|
      half = blob.bytesize / 2
      heads, units = blob.byteslice(0, half).unpack("L*"), blob.byteslice(half, half).unpack("L*")
      list = pairs[id % BLOCKS]
      heads.each_with_index { |head, index| list << ((head << 32) | units[index]) }
    end
    MemoryIndex.select("SELECT gram, class, unit_id FROM seen_fresh WHERE gram >= ? AND gram < ?", [blocks.first << LOW, (blocks.last + 1) << LOW]).each do |gram, length, unit|
      pairs[gram >> LOW] << ((((gram & 0x3FFFF) << CLASS_BITS) | length) << 32 | unit)
    end
    pairs.map do |block, list|
      list.sort!
      [(part * BLOCKS) + block, list.map { |pair| pair >> 32 }.pack("L*") << list.map { |pair| pair & 0xFFFFFFFF }.pack("L*")]
    end
  end
end
