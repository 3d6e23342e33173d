# A sheet that came back from a reviser: its changes to be decided, its comments as notes. The round is told
# by the sheet.
class Operations::ReviewReturn < Operation
  self.reads_files = true
  self.default_weight = "interactive"
  self.in_activity = false

  def perform
    file = files.first
    bytes, name = file.download, file.filename.to_s
    round = ReviewRound::Reading.round_of(bytes, name, subject.review_rounds)
    reading = round.read_back(bytes, name)
    rows = reading.prepare(self)
    complete do
      round.keep(reading, rows)
      round.returned.attach(file.blob)
      self.result = { "round_id" => round.id, "strange" => reading.strange }
    end
    subject.announce("notes")
  end

  def heavy? = Operation::ChildProcess.worth?(segments: subject.segments.count)

  private

  # A sheet is packed: its bytes say little of its rows.
  def small? = files.first.byte_size <= SMALL_FILE && subject.segments.count <= SMALL

  # Sheets of more bytes are never read while the request waits.
  SMALL_FILE = 100_000
end
