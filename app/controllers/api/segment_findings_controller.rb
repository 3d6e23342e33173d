# What the checks find in one segment as it reads now.
module Api
  class SegmentFindingsController < BaseController
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      found = segment.target.empty? ? [] : Project::Checking.new(segment.project).of(segment)
      render json: { findings: found }
    end
  end
end
