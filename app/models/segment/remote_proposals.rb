# What other servers are asked about a segment and those that come next: its matches and its terms. What they
# know stands among the other proposals and terms once it is there.
class Segment::RemoteProposals
  # So many of the next segments are asked about as well.
  AHEAD = 5
  # For work in the background about so many texts are asked, for so many seconds.
  FETCHED, FETCHING = 3_000, 60

  class << self
    # Asks about all of some segments of a project, for work in the background: what they know is known when
    # this returns. Servers that fail are passed over.
    def fetch(project, segments)
      elsewhere = new(segments.first)
      sources = elsewhere.memories
      return if sources.empty?

      beside = project.whole_text.where(document_id: segments.map(&:document_id).uniq)
        .index_by { |one| [one.document_id, one.position] }
      asked = segments.uniq(&:source).first(FETCHED)
      sources.each { |source| fetch_from(source, asked, elsewhere, beside) }
    end

    private

    def fetch_from(source, segments, elsewhere, beside)
      questions = segments.map do |segment|
        around = [-1, 1].map { |step| beside[[segment.document_id, segment.position + step]] }
        elsewhere.question("matches", source, segment, around)
      end
      RemoteSource::Desk.fetch(source, questions, FETCHING)
    rescue Glossema::Refused
      nil
    end
  end

  def initialize(segment)
    @segment, @project = segment, segment.project
  end

  # [{name:, state: "answered", "asking" or "failed", said: why}] of each server. Asks what was not asked yet.
  def to_a
    sources.map do |kind, source|
      state, said = RemoteSource::Desk.ask(source, segments.map { |segment| question(kind, source, segment) })
      { name: source.item.name, state: state, said: said }
    end
  end

  def memories
    @project.attachments.usable.includes(memory: :remote).filter_map { |row| row.memory.remote }
  end

  # around: the segments beside it.
  def question(kind, source, segment, around = [segment.neighbour(-1), segment.neighbour(1)])
    shared = { kind: kind, project: @project, segment: segment.id }
    if kind == "terms"
      text = segment.source_content.text
      return RemoteSource::Desk::Question.new(**shared, text: text, asked: text,
        pair: [@project.source_lang, @project.target_lang])
    end

    RemoteSource::Desk::Question.new(**shared, pair: source.item_pair, text: segment.source_content.written,
      asked: asked(segment, around))
  end

  private

  def sources
    termbases = @project.attached_termbases.usable.includes(termbase: :remote)
    memories.map { |source| ["matches", source] } +
      termbases.filter_map { |row| row.termbase.remote && ["terms", row.termbase.remote] }
  end

  # It and the next ones that nobody has worked on.
  def segments
    @segments ||= [@segment, *@segment.document.segments.where(position: (@segment.position + 1)..)
      .where(state: "untouched", locked: false).order(:position).limit(AHEAD)]
  end

  # As the protocol wants it.
  def asked(segment, around)
    previous, following = around.map { |one| Glossema::Remote.mark(TranslationUnit.hash_of_key(one&.source_key)) }
    { source: segment.source_content.written, previous: previous, next: following, key: segment.context,
      client: @project.client&.name, subject: @project.subject }.compact
  end
end
