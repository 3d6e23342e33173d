# Counts the files of a project for a report.
class CountReportJob < ApplicationJob
  def perform(report)
    return unless report.state == "counting"

    segments = report.project.counted_segments
    rows = matched(report, segments) or return
    report.fill(Report.value_of(report.project, segments, rows))
    tell(report)
  rescue Glossema::Refused => e
    fail_with(report, e.message)
  rescue StandardError
    fail_with(report, I18n.t("background.count", name: report.name))
    raise
  end

  private

  def matched(report, segments)
    stores = report.memories.map { |row| row.values_at("id", "penalty") }
    Report::Matching
      .new(report.project, stores)
      .rows(segments) do |done|
        next :stop unless Report.exists?(report.id)

        report.update!(done: done)
        tell(report)
      end
  end

  def tell(report)
    details = report.slice(:id, :state, :done, :total).symbolize_keys
    report.project.announce("report", **details)
  end

  def fail_with(report, message)
    report.update!(state: "failed", message: message)
    tell(report)
  end
end
