# The proposals for a segment as the interface shows them: matches of the memories, with today's differences.
class Segment::Proposals
  LIMIT = 6
  # A match from so much on is better than what can be put together.
  GOOD = 75

  def initialize(segment, floor:)
    @segment, @project, @floor = segment, segment.project, floor.to_i.clamp(30, 100)
  end

  def to_a
    matches = @project.lookup(terms: true).matches(query, threshold: @floor, limit: LIMIT)
    own = alternatives
    [*own, *matches.map { |match| self.class.row(match) }, *assembled(own, matches)]
  end

  # A match of the core as it is shown.
  def self.row(match)
    unit, attributes = match.candidate, match.candidate.attributes
    # A unit on another server has no number here.
    far = unit.memory.is_a?(RemoteSource::Store)
    {
      id: far ? "r#{unit.memory.id}-#{unit.id}" : "m#{unit.id}",
      kind: match.kind,
      score: match.score,
      edits: Glossema::Matching::Edits.of_match(match.score),
      raw: match.raw,
      penalties: match.penalties.map { |reason, points| { reason: reason, points: points } },
      target: match.target.written,
      changes: match.changes.map(&:to_h),
      stored: match.changes.any? ? unit.target.text : nil,
      source: unit.source.text,
      memory: unit.memory.name,
      memory_id: unit.memory.id,
      unit: far ? nil : unit.id,
      origin: attributes["origin"],
      differences: match.differences.map { |difference| difference.to_h },
      author: attributes["changed_by"].presence || attributes["author"],
      changed_at: attributes["updated_at"],
      **attributes.slice("client", "project", "subject", "file").symbolize_keys
    }
  end

  private

  # Only where nothing better is there.
  def assembled(own, matches)
    return [] if own.any? || matches.any? { |match| match.score >= GOOD }

    result = Segment::Assembled.new(@segment).result or return []
    [{
      id: "put-together", kind: "assembled", score: nil,
      edits: Glossema::Matching::Edits.of_assembled(result.known, result.words), penalties: [],
      target: result.target.written,
      source: nil, differences: [], known: result.known, words: result.words, parts: result.kinds
    }]
  end

  def query
    @segment.query(*[-1, 1].map { |step| @segment.neighbour(step) })
  end

  # What the file itself offers, and what stood here before the text was changed or cut anew.
  def alternatives
    @segment.alternatives.each_with_index.map do |one, index|
      comparison =
        Glossema::Matching::Score.compare(@segment.source_content, Glossema::Content.text(one["source"]))
      {
        id: "a#{index}",
        kind: one["origin"],
        score: one["score"] || comparison.score,
        penalties: [],
        target: Glossema::Content.escape(one["target"]),
        source: one["source"],
        differences: comparison.differences.map(&:to_h)
      }
    end
  end
end
