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

  # Ids of segments whose rows did not come back.
  def gone = (@segments.keys - @returned.rows.map(&:id)).map(&:to_i)

  # The rows of changes, worked out before anything is written. operation: that it is part of.
  def prepare(operation)
    operation.update_columns(total: returned.size)
    returned.each_with_index.filter_map do |row, index|
      operation.progress(index) if (index % 50).zero?
      change(row, @segments.fetch(row.id))
    end
  end

  def keep_comments
    returned.each { |row| comments(row, @segments.fetch(row.id)) }
  end

  private

  def returned = @returned.rows.select { |row| @segments.key?(row.id) }

  # What is not as it went out: {"added" => texts, "doubled" => numbers, "gone" => numbers, "foreign" => how
  # many}
  def told_strange
    there = @returned.rows.map(&:id)
    numbers = ->(ids) { ids.filter_map { |id| number_of(id) }.sort }
    { "added" => @returned.added.map { |text| text.truncate(80) }, "doubled" => numbers[@returned.doubled],
      "gone" => numbers[@segments.keys - there], "moved" => moved,
      "foreign" => (there - @round.base.keys).size }
  end

  # As it stands in the sheet.
  def number_of(id) = @round.numbers[id] || @segments[id]&.position

  # Rows that were edited of segments that were split or joined since: [[number, text] …].
  def moved
    rows = @returned.rows.reject { |row| @segments.key?(row.id) || !@round.base.key?(row.id) }
    rows.filter_map do |row|
      text = row.raw.reject(&:last).map(&:first).join
      sent = Glossema::Content.plain(@round.base.fetch(row.id))
      [number_of(row.id), text.truncate(80)] unless text == sent
    end
  end

  # What was remarked, and what was written beside the notes that went out.
  def comments(row, segment)
    sent = notes_of(segment)
    written = row.notes.to_a.reject { |note| sent.include?(note.text) }
    (row.comments + written).each do |comment|
      next if comment.text.empty? || known?(segment, comment)

      Note.from_sheet(@round, segment, comment.text, author: author(comment))
    end
  end

  # The same sheet may come twice.
  def known?(segment, comment)
    text = Glossema::Review::ErrorTypes.read(comment.text)&.text || comment.text
    Note.exists?(review_round: @round, segment: segment, author: author(comment), text: text)
  end

  # As they stand in the sheet: by themselves, or in one line.
  def notes_of(segment)
    @notes ||= @project.notes.where(created_at: ..@round.created_at)
      .where("settled_at IS NULL OR settled_at > ?", @round.created_at).group_by(&:segment_id)
    own = [segment.note, *@notes.fetch(segment.id, []).map(&:text)].compact_blank
    [*own, own.join(" · ")]
  end

  def author(made) = made.author.presence || @round.reviser

  def change(row, segment)
    before = Glossema::Content.parse(@round.base.fetch(row.id), segment.source_content)
    outcome = Glossema::Review::Outcome.from_row(row, source: segment.source_content, before: before)
    return unless outcome.changed?

    change = @round.corrections.build(segment: segment)
    change.fill(before.written, outcome.written, author: author(row), refused: outcome.refused&.message,
      made_at: row.at && Time.zone.parse(row.at), mended: outcome.refused && mended(outcome, segment))
    now = Time.current
    change.attributes.except("id").merge("created_at" => now, "updated_at" => now)
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
end
