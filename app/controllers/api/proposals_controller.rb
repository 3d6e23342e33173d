# All that is offered for a segment, ranked by the core.
module Api
  class ProposalsController < BaseController
    def index
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      render json: {
        proposals: Segment::Proposals.new(segment, floor: current_user.preferences.fetch("floor", 50)).to_a
      }
    end
  end
end
