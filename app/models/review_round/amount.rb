# How much a reviser changed: of how many words and segments, by kind, and where most.
module ReviewRound::Amount
  def self.of(round)
    rows = round.corrections.includes(segment: :document).to_a
    words = Segment.where(id: round.base.keys).sum(:words)
    { words: words, changed: rows.sum(&:changed_words), segments: rows.size, sent: round.base.size,
      kinds: rows.group_by(&:kind).transform_values(&:size), files: files(rows) }
  end

  def self.files(rows)
    rows.group_by { |row| row.segment.document.name }.map do |name, own|
      { name: name, changes: own.size, words: own.sum(&:changed_words) }
    end
  end
  private_class_method :files
end
