# What differs since the last delivery; as: "file" gives it as a workbook for the client.
module Api
  class DeliveryDifferencesController < BaseController
    takes as: :text

    def show
      return send_report if params[:as] == "file"

      since = Project::SinceDelivery.new(project)
      rows = since.changed.first(Project::SinceDelivery::SHOWN).map { |segment, was| row_of(segment, was) }
      render json: { number: since.number, count: since.changed.size, rows: rows,
                     document_ids: since.document_ids }
    end

    private

    def send_report
      report = Project::SinceDelivery::Report.new(project)
      send_data report.xlsx, filename: report.name
    end

    def row_of(segment, was)
      before, now = [was, segment.target].map { |text| Glossema::Content.plain(text) }
      compared = Glossema::Matching::Score.compare(*[now, before].map { |text| Glossema::Content.text(text) })
      { segment_id: segment.id, number: segment.position, file: segment.document.name,
        source: segment.source_content.text, before: before, now: now,
        differences: compared.differences.map(&:to_h) }
    end
  end
end
