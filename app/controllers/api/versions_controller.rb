# The history of a segment, newest first.
module Api
  class VersionsController < BaseController
    def index
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      answer(VersionResource.new(segment.versions.includes(:user).reorder(id: :desc).limit(100)))
    end
  end
end
