# Segments with the same source as one that was confirmed: they follow, or what they took is taken back, as
# one step.
module Api
  class RepeatsController < BaseController
    def create
      render(json: { segments: announce_segments(segment.project, segment.lead(by: current_user)) })
    end

    def destroy
      render(json: { segments: announce_segments(segment.project, segment.unlead(by: current_user)) })
    end

    private

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
  end
end
