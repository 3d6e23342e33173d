# A search for candidates in a project, a memory or files: what it finds waits in the termbase.
class Termbase::Look
  # So many are kept of a look.
  LIMIT = 150
  # So many of the newest units tell what terms are translated as.
  UNITS = 8_000

  class << self
    # from: {"name"} with "project_id", "memory_id" or, with files, neither; languages: [source tag, target
    # tag]. Returns the operation.
    def begin(termbase, from, languages, files = [], by:)
      Operations::TermSearch.start(termbase, by: by, files: files, summary: from["name"].to_s,
        input: { "from" => from.except("name"), "languages" => languages })
    end
  end

  def initialize(operation)
    @operation, @termbase, @from = operation, operation.subject, operation.input["from"]
    @languages = operation.input["languages"]
  end

  # Looks, and keeps what is found. Raises Refused where there is nothing to look at.
  def run
    texts, pairs = texts_and_pairs
    raise Glossema::Refused.new("nothing-to-look-at", name: @operation.summary) if texts.empty?

    search, dictionary = candidates(texts), Glossema::Terms::Translations.new(pairs, @languages)
    found, translations = @operation.interruptible do
      list = search.list(limit: LIMIT)
      [list, dictionary.find(list.map(&:term))]
    end
    @operation.publish { @operation.result = { "found" => keep(found, translations) } }
  end

  private

  def texts_and_pairs
    return from_memory(Memory.find(@from["memory_id"])) if @from["memory_id"]

    project = @from["project_id"] && Project.find(@from["project_id"])
    return [of_files, pairs_of(memories_of_user)] unless project

    own = project.segments.where.not(state: Segment::UNFINISHED).pluck(:source, :target)
    texts = project.counted_segments.map { |segment| segment.source_content.text }
    [texts, own.map { |pair| plain(pair) } + pairs_of(project.attachments.usable.map(&:memory))]
  end

  def from_memory(memory) = pairs_of([memory]).then { |pairs| [pairs.map(&:first), pairs] }

  def of_files
    @operation.files.flat_map do |file|
      opened = Glossema::Document.new(file.download, name: file.filename.to_s, language: @languages.first)
      opened.segments.map { |segment| segment.content.text }
    end
  end

  def memories_of_user
    @operation.user.memories.present.select { |memory| memory.fits?(*@languages) }
  end

  def pairs_of(memories)
    memories.flat_map do |memory|
      memory.units.order(id: :desc).limit(UNITS).pluck(:source, :target).map { |pair| plain(pair) }
    end
  end

  def plain(texts) = texts.map { |text| Glossema::Content.plain(text) }

  def candidates(texts)
    decided = @termbase.candidates.where(lang: @languages.first).pluck(:text)
    known = @termbase.entries.there.map(&:entry)
    Glossema::Terms::Candidates.new(texts, @languages.first, known: known, refused: decided)
  end

  def keep(found, translations)
    rows = found.map do |one|
      {
        termbase_id: @termbase.id, operation_id: @operation.id, lang: @languages.first,
        target_lang: @languages.last, text: one.term, folded: Glossema::Terms::Alike.fold(one.term),
        translation: translations[one.term]&.first, count: one.count, score: one.score,
        examples: one.examples
      }
    end
    return 0 if rows.empty?

    TermCandidate.insert_all(rows, unique_by: %i[termbase_id lang folded]).length
  end
end
