# A sheet that came back, read against what went out.
class ReviewRound::Reading
  attr_reader :strange

  # Raises Refused "sheet-none", "sheet-strange" and what a damaged file is refused for.
  def initialize(round, bytes, name)
    @round, @project, @name = round, round.project, name
    @returned = Glossema::Review.read(bytes.b, name)
    raise Glossema::Refused.new("sheet-strange",
      name: name) unless @returned.id.nil? || @returned.id == round.token

    @segments = @project.segments.where(id: round.base.keys).index_by { |segment| segment.id.to_s }
    if @returned.rows.none? { |row| @segments.key?(row.id) }
      raise Glossema::Refused.new("sheet-strange", name: name)
    end

    @strange = told_strange
  end

  # The round that a sheet belongs to, among those of a user. Raises Refused "sheet-strange".
  def self.round_of(bytes, name, rounds)
    token = Glossema::Review.read(bytes.b, name).id
    rounds.find_by(token: token) || raise(Glossema::Refused.new("sheet-strange", name: name))
  end

  # Keeps changes and comments.
  def keep
    rows = @returned.rows.select { |row| @segments.key?(row.id) }
    rows.each do |row|
      segment = @segments.fetch(row.id)
      comments(row, segment)
      change(row, segment)
    end
  end

  private

  # What is not as it went out: {"added" => texts, "doubled" => numbers, "gone" => numbers, "foreign" => how
  # many}
  def told_strange
    there = @returned.rows.map(&:id)
    numbers = ->(ids) { @segments.values_at(*ids).compact.map(&:position).sort }
    { "added" => @returned.added.map { |text| text.truncate(80) }, "doubled" => numbers[@returned.doubled],
      "gone" => numbers[@segments.keys - there], "foreign" => (there - @segments.keys).size }
  end

  def comments(row, segment)
    row.comments.each do |comment|
      next if comment.text.empty?
      next if @project.notes.there.exists?(segment: segment, author: author(comment), text: comment.text)

      Note.add(segment, comment.text, by: nil, author: author(comment))
    end
  end

  def author(made) = made.author.presence || @round.reviser

  def change(row, segment)
    before = Glossema::Content.parse(@round.base.fetch(row.id), segment.source_content)
    outcome = Glossema::Review::Outcome.of(row, source: segment.source_content, before: before)
    return unless outcome.changed?

    @round.corrections.create!(segment: segment, before: before.written, after: outcome.written,
      author: author(row), made_at: row.at && Time.zone.parse(row.at), refused: outcome.refused&.message,
      mended: outcome.refused && mended(outcome, segment), **figures(before, outcome, segment))
  end

  def figures(before, outcome, _segment)
    after = outcome.target || Glossema::Content.from_written(outcome.written)
    amount = Glossema::Review::Changes.amount(before, after)
    kind = outcome.refused ? "codes" : Glossema::Review::Changes.kind(before, after, terms: terms)
    { kind: kind, words: amount["words"], changed_words: amount["changed"] }
  end

  # The wording with the codes of the source put back where they belong.
  def mended(outcome, segment)
    text = Glossema::Content.from_written(outcome.written).text
    return if text.strip.empty?

    source = segment.source_content
    Glossema::Machine::Markup::Placing.new(source).with(Glossema::Content.text(text),
      source.codes.map(&:written))
      .well_formed.written
  end

  # Terms of the target language in the termbases that checks use.
  def terms
    @terms ||= begin
      ids = @project.attached_termbases.usable.where(checks: true).pluck(:termbase_id)
      language = Glossema::Languages.primary(@project.target_lang)
      Term.where(termbase_id: ids).where("lang = ? OR lang LIKE ?", language, "#{language}-%").pluck(:text)
        .map { |text| text.delete_suffix("*") }
    end
  end
end
