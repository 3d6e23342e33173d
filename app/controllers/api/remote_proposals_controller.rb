# What other servers are doing about a segment. What they know stands among proposals and terms once it is
# there, and the project is told then.
module Api
  class RemoteProposalsController < BaseController
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      render json: { sources: Segment::RemoteProposals.new(segment).to_a }
    end
  end
end
