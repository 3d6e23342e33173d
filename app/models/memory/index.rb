# The index of memories on SQLite: which units share words and pairs of words with a text, and a full-text
# index for concordance. All storage tricks of memories are in here.
#
# Units taken in together form a part: for each of 16,384 blocks of grams one row, packed as two arrays, the
# heads (32 bits: lower bits of the gram and class of length, sorted) and the postings (64 bits: the sketch of
# the text and the unit id). Units learned one by one are rows of their own until they are many. A posting may
# outlive its unit or its text: whoever looks up reads the unit itself afterwards, so the index has to hold
# too much rather than too little, and is right after any crash.
class Memory::Index
  BLOCKS = 16_384
  LOW = 18
  CLASS_BITS = 5
  # How many units a part takes in at most while an import runs, and how many fresh rows or parts are made
  # into one part.
  PART = 1_000_000
  FRESH = 200_000
  PARTS = 4
  # Of blocks larger than this many bytes only those are read that the plan needs.
  LARGE = 200_000
  # Bytes of a posting and its head.
  BYTES = 12
  # Grams of fewer units weigh twice as much. All the grams of a text in common are worth so many bits of the
  # sketch.
  RARE = 200
  WORTH = 8
  # A posting is an id of so many bits and a sketch above it.
  ID_BITS = 32
  ID = (1 << ID_BITS) - 1
  # A cost and an id in one number: a bit of the sketch costs one above so many.
  COST_BITS = ID_BITS + 8
  # What the bits cost that are set in fifteen.
  SET = (0..0x7FFF).map { |bits| bits.to_s(2).count("1") << COST_BITS }.freeze
  Grams = Glossema::Matching::Grams
  UNPARTED = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}ー]\p{M}*/

  class << self
    def connection = ApplicationRecord.connection.raw_connection

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
    def put_text(unit_id, *texts) =
      connection.execute(
        "INSERT INTO memory_texts (rowid, source, target) VALUES (?, ?, ?)",
        [unit_id, *searched(texts)]
      )

    def drop_text(unit_id, *texts) =
      connection.execute(
        "INSERT INTO memory_texts (memory_texts, rowid, source, target) VALUES ('delete', ?, ?, ?)",
        [unit_id, *searched(texts)]
      )

    # A plain text as it is searched, folded, and scripts without spaces, which the full-text index would take
    # for one long word, character by character.
    def parted(text)
      return text if text.ascii_only?

      Glossema::Folding.indexed(text).gsub(UNPARTED) { |character| " #{character} " }
    end

    private

    def searched(texts) = texts.map { |text| parted(Glossema::Content.plain(text)) }
  end

  def initialize(memory_id)
    @memory_id = memory_id
  end

  # The ids of the units that may match a text of these words at the score, the likeliest first: those whose
  # sketch differs in few bits and that share rare grams. weight: of the text as the score sees it; budget:
  # how many postings to read, if fewer are not enough; most: how many ids are given.
  def find(words, weight, score, budget, most)
    grams, read = Grams.asked(words), []
    pages, fresh = read_parts(grams), fresh?
    Grams
      .classes(words.size, weight, score)
      .each do |first, last, pieces|
        next if first > last

        lists = slices(pages, first, last)
        add_fresh(lists, grams, first, last) if fresh
        sizes = lists.transform_values { |list| list.sum { |postings| size_of(postings) } }
        Grams
          .plan(words, pieces, sizes, budget / 2)
          .each do |gram|
            found = lists[gram].flat_map { |postings| bytes_of(postings, gram, first, last).unpack("Q*") }
            read.concat(found)
            read.concat(found) if sizes[gram] < RARE
          end
      end
    in_order(read.tally, Grams.sketch(Grams.singles(words)), most)
  end

  # Postings are bytes, or where they have to be read for from a large block: [its row, how many].
  def size_of(postings) = postings.is_a?(String) ? postings.bytesize / 8 : postings.last

  def bytes_of(postings, gram, first, last)
    postings.is_a?(String) ? postings : slice(blob(postings.first), gram, first, last)
  end

  # One unit, learned or edited.
  def add(unit_id, entry)
    length = Grams.class_of(entry.count)
    rows =
      entry.grams.unpack("L*").map { |gram| "(#{@memory_id},#{gram},#{length},#{unit_id},#{entry.sketch})" }
    if rows.any?
      raw.execute(
        "INSERT OR IGNORE INTO memory_fresh (memory_id, gram, class, unit_id, sketch) VALUES " \
          "#{rows.join(",")}"
      )
    end
  end

  # Collects units for a part. Not seen by lookups before `finish`.
  class Builder
    def initialize(memory_id, base)
      @memory_id, @base, @pairs, @sketches = memory_id, base, [], []
    end

    def add(unit_id, entry)
      tail = (Grams.class_of(entry.count) << 24) | (unit_id - @base)
      @sketches[unit_id - @base] = (entry.sketch << 32) | unit_id
      entry.grams.unpack("L*").each { |gram| @pairs << ((gram << 29) | tail) }
    end

    # Writes the part; the block is called now and then and may raise. Returns its number.
    def finish
      return if @pairs.empty?

      raw = Memory::Index.connection
      @pairs.sort!
      part =
        ApplicationRecord.transaction do
          raw.execute("INSERT INTO memory_parts (memory_id) VALUES (?)", [@memory_id]) &&
            raw.last_insert_row_id
        end
      rows =
        Enumerator.new do |out|
          from, size = 0, @pairs.size
          while from < size
            block = @pairs[from] >> (29 + LOW)
            limit = (block + 1) << (29 + LOW)
            to = (from...size).bsearch { |index| @pairs[index] >= limit } || size
            pairs = @pairs[from, to - from]
            out << [
              (part * BLOCKS) + block,
              pairs.map { |pair| (pair >> 24) & 0x7FFFFF }.pack("L*") << pairs
                .map { |pair| @sketches[pair & 0xFFFFFF] }
                .pack("Q*")
            ]
            from = to
          end
        end
      Memory::Index.write(rows)
      ApplicationRecord.transaction { raw.execute("UPDATE memory_parts SET whole = 1 WHERE id = ?", [part]) }
      @pairs, @sketches = [], []
      part
    end
  end

  # rows: [[id, blob], …], written in short transactions so that others get their turn.
  def self.write(rows)
    insert = connection.prepare("INSERT OR REPLACE INTO memory_postings (id, pairs) VALUES (?, ?)")
    ShortTransaction.each(rows) { |id, pairs| insert.execute(id, SQLite3::Blob.new(pairs)) }
  ensure
    insert&.close
  end

  # Are there so many parts or fresh rows that lookups get slower?
  def crowded?
    parts.size > PARTS ||
      first(
        "SELECT COUNT(*) FROM (SELECT 1 FROM memory_fresh WHERE memory_id = ? LIMIT ?)",
        [@memory_id, FRESH]
      ) >= FRESH
  end

  # Makes all parts and fresh rows one part, in short steps; lookups and learning go on meanwhile, and what is
  # learned then stays fresh.
  def compact
    old = parts
    raw.execute("DROP TABLE IF EXISTS temp.seen_fresh")
    raw.execute(
      "CREATE TEMP TABLE seen_fresh AS SELECT gram, class, unit_id, sketch FROM memory_fresh WHERE " \
        "memory_id = #{@memory_id.to_i} ORDER BY gram"
    )
    raw.execute("CREATE INDEX temp.seen_grams ON seen_fresh (gram)")
    return if old.size <= 1 && first("SELECT COUNT(*) FROM seen_fresh", []).zero?

    part =
      ApplicationRecord.transaction do
        raw.execute("INSERT INTO memory_parts (memory_id) VALUES (?)", [@memory_id]) && raw.last_insert_row_id
      end
    (0...BLOCKS).each_slice(64) { |blocks| Memory::Index.write(merged(old, part, blocks)) }
    ApplicationRecord.transaction do
      raw.execute("UPDATE memory_parts SET whole = 0 WHERE id IN (#{old.join(",")})") if old.any?
      raw.execute("UPDATE memory_parts SET whole = 1 WHERE id = ?", [part])
    end
    forget_fresh
    sweep
  ensure
    raw.execute("DROP TABLE IF EXISTS temp.seen_fresh")
  end

  # Away with parts that were never finished, or are no longer needed.
  def sweep
    Memory::Index
      .select("SELECT id FROM memory_parts WHERE memory_id = ? AND whole = 0", [@memory_id])
      .flatten
      .each { |part| drop(part) }
  end

  # Everything of this memory.
  def clear
    ApplicationRecord.transaction do
      raw.execute("UPDATE memory_parts SET whole = 0 WHERE memory_id = ?", [@memory_id])
    end
    clear_fresh
    sweep
  end

  private

  # So many rows are deleted in a transaction.
  DELETED = 2000

  # Gram by gram: the rows of one are few.
  def clear_fresh
    grams = Memory::Index.select("SELECT DISTINCT gram FROM memory_fresh WHERE memory_id = ?", [@memory_id])
    ShortTransaction.each(grams) do |gram|
      raw.execute("DELETE FROM memory_fresh WHERE memory_id = ? AND gram = ?", [@memory_id, *gram])
    end
  end

  # Away with the fresh rows that are in the new part.
  def forget_fresh
    last = first("SELECT MAX(rowid) FROM seen_fresh", []).to_i
    (1..last).step(DELETED) do |from|
      ApplicationRecord.transaction do
        raw.execute(
          "DELETE FROM memory_fresh WHERE memory_id = ? AND (gram, class, unit_id) IN (SELECT gram, class, " \
            "unit_id FROM seen_fresh WHERE rowid BETWEEN ? AND ?)",
          [@memory_id, from, from + DELETED - 1]
        )
      end
      ShortTransaction.pause
    end
  end

  def raw = Memory::Index.connection
  def first(sql, values) = Memory::Index.select(sql, values).first&.first

  def parts =
    Memory::Index.select("SELECT id FROM memory_parts WHERE memory_id = ? AND whole = 1",
      [@memory_id]).flatten

  def drop(part)
    (part * BLOCKS).step((part + 1) * BLOCKS, 512) do |from|
      ApplicationRecord.transaction do
        raw.execute(
          "DELETE FROM memory_postings WHERE id >= ? AND id < ?",
          [from, [from + 512, (part + 1) * BLOCKS].min]
        )
      end
      ShortTransaction.pause
    end
    ApplicationRecord.transaction { raw.execute("DELETE FROM memory_parts WHERE id = ?", [part]) }
  end

  # {gram => [blob, or [id, pairs] of a large one, …]} of the blocks in which the grams stand.
  def read_parts(grams)
    by_id =
      parts.each_with_object({}) do |part, ids|
        grams.each { |gram| (ids[(part * BLOCKS) + (gram >> LOW)] ||= []) << gram }
      end
    pages = Hash.new { |hash, gram| hash[gram] = [] }
    by_id
      .keys
      .each_slice(500) do |ids|
        rows =
          Memory::Index.select(
            "SELECT id, length(pairs), CASE WHEN length(pairs) <= #{LARGE} THEN pairs END FROM " \
              "memory_postings WHERE id IN (#{ids.join(",")})"
          )
        rows.each do |id, length, pairs|
          by_id[id].each { |gram| pages[gram] << (pairs || [id, length / BYTES]) }
        end
      end
    pages
  end

  # What the blocks hold of each gram in some classes: packed postings, or of large blocks what stands for
  # them.
  def slices(pages, first, last)
    pages.to_h do |gram, list|
      [gram, list.map { |page| page.is_a?(Array) ? page : slice(page, gram, first, last) }.reject(&:empty?)]
    end
  end

  def fresh? = first("SELECT 1 FROM memory_fresh WHERE memory_id = ? LIMIT 1", [@memory_id])

  # Puts what was learned one by one to the lists of their grams.
  def add_fresh(lists, grams, first, last)
    rows =
      Memory::Index.select(
        "SELECT gram, (sketch << 32) | unit_id FROM memory_fresh WHERE memory_id = ? AND gram IN (" \
          "#{grams.join(",")}) AND class BETWEEN ? AND ?",
        [@memory_id, first, last]
      )
    rows.group_by(&:first).each { |gram, found| (lists[gram] ||= []) << found.map(&:last).pack("Q*") }
  end

  def blob(id) = first("SELECT pairs FROM memory_postings WHERE id = ?", [id])

  # The postings of a gram and classes in a block, packed.
  def slice(pairs, gram, first, last)
    count = pairs.bytesize / BYTES
    head = (gram & 0x3FFFF) << CLASS_BITS
    low = (0...count).bsearch { |index| pairs.unpack1("L", offset: index * 4) >= head + first } or return ""
    high = (low...count).bsearch { |index| pairs.unpack1("L", offset: index * 4) > head + last } || count
    pairs.byteslice((count * 4) + (low * 8), (high - low) * 8)
  end

  # The ids of so many postings with what their grams weigh, the likeliest first. Numbers are sorted faster
  # than pairs, and finding the first few is faster than sorting all.
  def in_order(hits, sketch, most)
    return [] if hits.empty?

    worth = (WORTH << COST_BITS) / hits.values.max
    worth &= ~ID
    hits
      .map do |posting, weight|
        bits = sketch ^ (posting >> ID_BITS)
        SET[bits & 0x7FFF] + SET[bits >> 15] - (weight * worth) + (posting & ID)
      end
      .min(most)
      .map! { |one| one & ID }
      .uniq
  end

  # The rows of some blocks of the new part.
  def merged(old, part, blocks)
    heads, postings = 2.times.map { Hash.new { |hash, block| hash[block] = [] } }
    ids = old.flat_map { |one| blocks.map { |block| (one * BLOCKS) + block } }
    Memory::Index
      .select("SELECT id, pairs FROM memory_postings WHERE id IN (#{ids.join(",")})")
      .each do |id, blob|
        count = blob.bytesize / BYTES
        heads[id % BLOCKS].concat(blob.byteslice(0, count * 4).unpack("L*"))
        postings[id % BLOCKS].concat(blob.byteslice(count * 4, count * 8).unpack("Q*"))
      end
    Memory::Index
      .select(
        "SELECT gram, class, unit_id, sketch FROM seen_fresh WHERE gram >= ? AND gram < ?",
        [blocks.first << LOW, (blocks.last + 1) << LOW]
      )
      .each do |gram, length, unit, sketch|
        heads[gram >> LOW] << (((gram & 0x3FFFF) << CLASS_BITS) | length)
        postings[gram >> LOW] << ((sketch << 32) | unit)
      end
    heads.map do |block, list|
      order = list.each_with_index.map { |head, index| (head << 32) | index }.sort!
      own = postings[block]
      [
        (part * BLOCKS) + block,
        order.map { |one| one >> 32 }.pack("L*") << order.map { |one| own[one & 0xFFFFFFFF] }.pack("Q*")
      ]
    end
  end
end
