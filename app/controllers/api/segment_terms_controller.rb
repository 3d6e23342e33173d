# The terms of a segment's source and what can be carried over from it.
module Api
  class SegmentTermsController < BaseController
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      render json: Segment::Terms.new(segment).to_h
    end
  end
end
