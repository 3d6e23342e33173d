# Reads a dropped file into segments, in batches, so that it can show progress, be cancelled and be begun again.
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
  end

  private

  def current? = @document.reload.run == @run && @document.busy?

  def store(opened)
    raise Glossema::Refused.new("no-text", "#{@document.name} holds no text to translate.") if opened.segments.empty?

    Segment.discard(@document.segments)
    @document.update!(format: opened.format::NAME, total: opened.segments.size, source_lang: @document.source_lang || opened.language)
    counts = []
    opened.segments.each_slice(BATCH).with_index do |batch, index|
      break unless current?

      rows = batch.map.with_index { |segment, offset| row(segment, (index * BATCH) + offset + 1, counts) }
      Segment.insert_all!(rows)
      @document.update!(done: (index * BATCH) + batch.size)
      tell
    end
    finish(opened, counts) if current?
  end

  def row(segment, position, counts)
    counts << count = Glossema::Counting::Count.of(segment.content)
    { document_id: @document.id, project_id: @document.project_id, position: position, key: segment.id, block: segment.unit.block, path: segment.unit.path,
      source: segment.content.written, source_key: Segment.key_of(segment.content), codes: segment.content.code_hashes, words: count.words, characters: count.characters,
      note: segment.unit.note, limit: segment.unit.limit }
  end

  def finish(opened, counts)
    sum = counts.sum(Glossema::Counting::Count.zero)
    page = opened.preview { |segment| "<span data-segment=\"#{Glossema::Html.escape(segment.id)}\">#{Glossema::Html.of(segment.content)}</span>" }
    @document.page.attach(io: StringIO.new(page), filename: "page.html", content_type: "text/html", identify: false)
    return unless current?

    @document.update!(state: "ready", breaks: opened.breaks, facts: { words: sum.words, characters: sum.characters, characters_without_spaces: sum.characters_without_spaces,
                                                                      segments: sum.segments, codes: sum.codes, by_character: sum.by_character,
                                                                      tables: page.scan("<table>").size, pictures: page.scan("<figure>").size })
    @document.project.with_lock { @document.project.propose } unless @document.project.begun?
    tell
    CountProjectJob.perform_later(@document.project)
  end

  def tell
    @document.project.announce("document", id: @document.id, state: @document.state, done: @document.done, total: @document.total)
  end
end
