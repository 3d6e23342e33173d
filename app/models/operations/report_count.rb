# The files of a project counted for a report. input: "report_id".
class Operations::ReportCount < Operation
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    return if report.nil? || report.state == "ready"

    report.update!(state: "counting", message: nil)
    segments = subject.counted_segments
    rows = Report::Matching.new(subject, stores, self).rows(segments) { |done| tell_progress(done) }
    value = interruptible { Report.value_of(subject, segments, rows) }
    complete { report.fill(value) }
    announce_state
  end

  def heavy? = Operation::ChildProcess.worth?(segments: subject.segments.count)

  private

  def report = @report ||= Report.find_by(id: input["report_id"])
  def stores = report.memories.map { |row| row.values_at("id", "penalty") }

  def tell_progress(done)
    report.update_columns(done: done)
    progress(done, report.total)
    announce_state
  end

  def abandon
    return unless report && report.reload.state == "counting"

    report.update!(state: "failed", message: stop_reason(I18n.t("background.count", name: report.name)))
    announce_state
  end

  def announce_state = subject.announce("report", **report.slice(:id, :state, :done, :total).symbolize_keys)
end
