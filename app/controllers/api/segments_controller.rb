# The segments of a project: all of them at once, and one being written.
module Api
  class SegmentsController < BaseController
    def index
      scope = project.segments.joins(:document).order("documents.position", :position)
      documents =
        project.documents.select(&:ready?).map { |document| { id: document.id, name: document.name } }
      render json: %({"documents":#{JSON.generate(documents)},"segments":#{SegmentResource.listing(scope)}})
    end

    # params: target, origin, confirm, marked, exempt.
    def update
      segment = Segment.where(project: current_user.projects).find(params[:id])
      origin =
        params.fetch(:origin, { kind: "typed" }).permit(:kind, :score, :memory, :unit, :touched, :from).to_h
      segment.update!(exempt: params[:exempt]) if params.key?(:exempt)
      answer =
        (
          if params[:confirm]
            segment.confirm(params[:target].to_s, origin: origin, by: current_user)
          else
            draft(segment, origin)
          end
        )
      segment.project.update_columns(last_segment_id: segment.id, opened_at: Time.current)
      render json: {
        segment: SegmentResource.new(segment).to_h,
        repeats: SegmentResource.new(answer[:filled]).to_h,
        others: answer[:others]
      }
    end

    private

    def draft(segment, origin)
      segment.keep_draft(
        params.fetch(:target, segment.target).to_s,
        origin: params.key?(:target) ? origin : segment.origin,
        by: current_user,
        marked: params[:marked]
      )
      { filled: [], others: 0 }
    end
  end
end
