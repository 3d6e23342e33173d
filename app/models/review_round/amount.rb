# How much a reviser changed and remarked: of how many words and segments, by kind, severity and file.
class ReviewRound::Amount
  def self.measure(round) = new(round).to_h

  def initialize(round)
    @round = round
    @rows = round.corrections.includes(segment: :document).to_a
  end

  # words: of the source, in what was sent, or read inside; changed: words that are others; score: of the
  # remarks that have a severity, see Glossema::Review::Score; files: with edit distances.
  def to_h
    { words: words, changed: @rows.sum(&:changed_words), segments: @rows.size, sent: @round.base.size,
      kinds: @rows.group_by(&:kind).transform_values(&:size), score: score.to_h,
      distance: distance(@rows), files: files }
  end

  private

  def words
    @words ||= @round.inside? ? @round.words_read : Segment.where(id: @round.base.keys).sum(:words)
  end

  def score
    weighed = @round.remarks.where(kind: "remark").pluck(:error_type, :severity)
    Glossema::Review::Score.compute(weighed, words: words)
  end

  def files
    by_file = @rows.group_by { |row| row.segment.document }.sort_by { |document, _| document.position }
    by_file.map do |document, own|
      { name: document.name, changes: own.size, words: own.sum(&:changed_words), distance: distance(own) }
    end
  end

  def distance(rows)
    pairs = rows.map { |row| [row.before, row.after].map { |text| Glossema::Content.plain(text) } }
    Glossema::Review::Changes.distance(pairs)
  end
end
