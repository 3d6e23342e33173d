# What differs since the last delivery.
module Api
  class DeliveryDifferencesController < BaseController
    def show
      since = Project::SinceDelivery.new(project)
      rows = since.changed.first(Project::SinceDelivery::SHOWN).map { |segment, was| told(segment, was) }
      render json: { number: since.number, count: since.changed.size, rows: rows }
    end

    private

    def told(segment, was)
      before, now = [was, segment.target].map { |text| Glossema::Content.plain(text) }
      compared = Glossema::Matching::Score.compare(*[now, before].map { |text| Glossema::Content.text(text) })
      { segment_id: segment.id, number: segment.position, file: segment.document.name,
        source: segment.source_content.text, before: before, now: now,
        differences: compared.differences.map(&:to_h) }
    end
  end
end
