# Segments with the same source as one that was confirmed: they follow, or what they took is taken back, as
# one step.
module Api
  class RepeatsController < BaseController
    def create = render(json: { segments: tell(segment.project, segment.lead(by: current_user)) })

    def destroy = render(json: { segments: tell(segment.project, segment.unlead(by: current_user)) })

    private

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
  end
end
