# A count as it is looked at, with the one laid beside it, and the rates that hold for it.
class ReportResource < ApplicationResource
  typelize made: "ReportMade", state: "ReportState", project: "string | null", client: "string | null"
  typelize memories: "CountedMemory[]", figures: "ReportFigures | null", beside: "Beside | null"
  typelize rates: "Rates | null", message: "string | null"

  # Figures with the words of their bands in the groups that are seen together.
  def self.drawn(figures)
    part = lambda do |one|
      one.merge("groups" => grouped(one["bands"]), "bare_groups" => grouped(one["bare"]))
    end
    part.call(figures).merge("files" => figures["files"].map(&part))
  end

  def self.grouped(bands) = Glossema::Counting::Bands.grouped(bands)
  private_class_method :grouped

  attributes :id,
    :project_id,
    :client_id,
    :name,
    :made,
    :state,
    :message,
    :kept,
    :done,
    :total,
    :source_lang,
    :target_lang,
    :memories,
    :created_at
  attribute(:figures) { |report| report.figures && ReportResource.drawn(report.figures) }
  typelize "boolean"
  attribute(:outdated, &:outdated?)
  # The number of the project it is of; a quick count is of none.
  attribute(:project) { |report| report.project&.reference if report.project&.kind == "project" }
  attribute(:client) { |report| report.client&.name }
  attribute(:rates) do |report|
    report.target_lang && RateCard.for(report.user, report.client, report.source_lang,
      report.target_lang)&.rates
  end
  attribute(:beside) do |report|
    other = params[:beside]
    other && {
      report: ReportLineResource.new(other).to_h,
      figures: ReportResource.drawn(other.figures),
      comparison: Glossema::Counting::Comparison.compare(report.figures, other.figures)
    }
  end
end
