# A count, in lists.
class ReportLineResource < ApplicationResource
  typelize_from Report

  typelize made: "ReportMade", state: "ReportState", project: "string | null", client: "string | null"
  typelize words: "number | null", against: "string[]", groups: "BandGroups | null"

  attributes :id, :project_id, :name, :made, :state, :source_lang, :target_lang, :created_at
  # The number of the project it is of; a quick count is of none.
  attribute(:project) { |report| report.project&.reference if report.project&.kind == "project" }
  attribute(:client) { |report| report.client&.name }
  attribute(:words) { |report| report.figures && report.figures["words"] }
  attribute(:groups) { |report| report.figures && Glossema::Counting::Bands.grouped(report.figures["bands"]) }
  attribute(:against) { |report| report.memories.pluck("name") }
end
