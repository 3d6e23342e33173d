# Reads a dropped file into segments, in batches, so that it can show progress, be cancelled and be begun
# again.
class ReadDocumentJob < ApplicationJob
  BATCH = 400

  # run: the token of this reading; when the document has another one, a later reading took over.
  def perform(document, run)
    @document, @run = document, run
    return unless current?

    document.update!(state: "reading")
    tell
    store(document.opened(as_stored: false))
  rescue Glossema::Refused => e
    @document.update!(state: "refused", message: e.message) if current?
    tell
  rescue StandardError
    # A fault of ours: the file does not stay "reading" for ever.
    if current?
      @document.update!(
        state: "refused",
        message: I18n.t("background.read", name: @document.name)
      )
    end
    tell
    raise
  end

  private

  def current? = @document.reload.run == @run && @document.busy?

  def store(opened)
    if opened.segments.empty?
      raise Glossema::Refused.new("no-text", name: @document.name)
    end

    Segment.discard(@document.segments)
    @document.update!(
      format: opened.format::NAME,
      total: opened.segments.size,
      source_lang: @document.source_lang || opened.language
    )
    counts = []
    opened
      .segments
      .each_slice(BATCH)
      .with_index do |batch, index|
        break unless current?

        rows = batch.map.with_index { |segment, offset| row(segment, (index * BATCH) + offset + 1, counts) }
        keep_versions(rows, Segment.insert_all!(rows, returning: %w[id]).rows.flatten)
        @document.update!(done: (index * BATCH) + batch.size)
        tell
      end
    finish(opened, counts) if current?
  end

  def row(segment, position, counts)
    counts << count = Glossema::Counting::Count.of(segment.content)
    Segment.row(@document, segment, position, count)
  end

  # A translation that came with the file is the first of its history.
  def keep_versions(rows, ids)
    given = rows.zip(ids).reject { |row, _| row[:target].empty? }
    if given.any?
      Version.insert_all!(
        given.map do |row, id|
          { segment_id: id, target: row[:target], state: row[:state], origin: row[:origin] }
        end
      )
    end
  end

  def finish(opened, counts)
    page = @document.keep_page(opened)
    return unless current?

    @document.update!(
      state: "ready",
      breaks: opened.breaks,
      facts:
        @document.facts_of(counts).merge(
          tables: page.scan("<table>").size,
          pictures: page.scan("<figure>").size,
          bilingual: opened.bilingual?,
          looks: opened.guessed_language
        )
    )
    @document.project.with_lock { @document.project.propose } unless @document.project.begun?
    tell
    CountProjectJob.perform_later(@document.project)
  end

  def tell
    @document.project.announce(
      "document",
      id: @document.id,
      state: @document.state,
      done: @document.done,
      total: @document.total
    )
  end
end
