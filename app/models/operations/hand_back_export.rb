# What is handed back of a project that came as a hand-over.
class Operations::HandBackExport < Operation
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    back = HandOver::Back.new(subject)
    bytes = interruptible { back.bytes }
    blob = BytesFirst.store(io: StringIO.new(bytes), filename: back.name,
      content_type: "application/zip")
    complete { output.attach(blob) }
  end

  def heavy? = subject.segments.count > Operation::ChildProcess::MANY

  private

  def small? = subject.segments.count <= Operation::SMALL
end
