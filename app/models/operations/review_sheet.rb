# A sheet, bilingual file or hand-over package for a reviser or colleague. input: "reviser", "options", "ids"
# of the segments or nil for all. The round is recorded once the file is there.
class Operations::ReviewSheet < Operation
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    round = subject.review_rounds.build(user: user, reviser: input["reviser"].to_s.strip,
      options: input["options"], token: SecureRandom.hex(8))
    round.valid? || raise(ActiveRecord::RecordInvalid, round)
    round.number = round.next_number
    writer = ReviewRound::Sheet.new(round, input["ids"], self)
    round.base, round.numbers = writer.base, writer.numbers
    blob = stored(writer)
    complete do
      round.number = round.next_number
      round.save!
      round.sheet.attach(blob)
      result["round_id"] = round.id
    end
  end

  def heavy?
    Operation::ChildProcess.worth?(segments: subject.segments.count, units: units)
  end

  private

  # So many go along.
  def units
    return 0 unless input.dig("options", "as") == "hand-over" && input.dig("options", "memories")

    TranslationUnit.where(memory_id: subject.attachments.select(:memory_id)).count
  end

  def small? = subject.segments.count <= Operation::SMALL && input.dig("options", "as") != "hand-over"

  def stored(writer)
    @blob = BytesFirst.store(io: StringIO.new(writer.bytes), filename: writer.name)
  end

  def abandon = result["round_id"] || @blob&.purge
end
