# Sources that are almost alike, beside their translations.
module Api
  class SimilarSegmentsController < BaseController
    def index
      render json: { twins: Project::SimilarSegments.new(project).all.map { |twin| row_of(twin) } }
    end

    private

    def row_of(twin)
      { score: twin.score, uneven: twin.uneven?, one: side(twin.one), other: side(twin.other),
        source: twin.source.map { |one| spans(one) }, target: twin.target.map { |one| spans(one) } }
    end

    # today: in the text of `other`; memory: in that of `one`.
    def spans(difference)
      { op: difference.op, today: difference.source_span, memory: difference.memory_span }
    end

    def side(segment)
      { segment_id: segment.id, number: segment.position, file: segment.document.name, state: segment.state,
        source: segment.source_content.text, target: segment.target_content.text }
    end
  end
end
