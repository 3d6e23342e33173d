# A client's file read into segments, a few at a time, as part of an operation.
class Document::Reading
  # So many segments are written at a time.
  BATCH = 100

  # The block is called whenever it is further.
  def initialize(document, operation, &progress)
    @document, @operation, @progress = document, operation, progress
  end

  # Raises Refused for what cannot be read, and what a checkpoint raises.
  def run
    @document.update!(state: "reading", done: 0)
    @progress&.call
    opened = @document.opened(as_stored: false, operation: @operation)
    raise Glossema::Refused.new("no-text", name: @document.name) if opened.segments.empty?

    store(opened)
  end

  private

  def store(opened)
    @document.discard_segments
    @document.update!(format: opened.format::NAME, total: opened.segments.size,
      source_lang: @document.source_lang || opened.language)
    counts = opened.segments.map { |segment| Glossema::Counting::Count.count(segment.content) }
    (0...opened.segments.size).each_slice(BATCH) do |indexes|
      @operation.checkpoint
      ShortTransaction.run { write(opened, indexes, counts) }
      advance(indexes.last + 1)
    end
    finish(opened, counts)
  end

  def write(opened, indexes, counts)
    rows = indexes.map { |index| Segment.row(@document, opened.segments[index], index + 1, counts[index]) }
    keep_versions(rows, Segment.insert_all!(rows, returning: %w[id]).rows.flatten)
  end

  # A translation that came with the file is the first of its history.
  def keep_versions(rows, ids)
    given = rows.zip(ids).reject { |row, _| row[:target].empty? }
    return if given.empty?

    Version.insert_all!(
      given.map { |row, id|
        { segment_id: id, target: row[:target], state: row[:state], origin: row[:origin] }
      }
    )
  end

  def advance(count)
    @document.update_columns(done: count)
    @progress&.call
    ShortTransaction.pause
  end

  def finish(opened, counts)
    page = @document.keep_page(opened)
    facts = @document.facts_of(counts).merge(
      tables: page.scan("<table>").size, pictures: page.scan("<figure>").size,
      bilingual: opened.bilingual?, looks: opened.guessed_language
    )
    @operation.publish do
      @document.update!(state: "ready", breaks: opened.breaks, facts: facts,
        reader_version: Glossema::READER_VERSION)
    end
  end
end
