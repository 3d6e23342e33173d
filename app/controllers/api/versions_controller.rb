# The history of a segment, newest first.
module Api
  class VersionsController < BaseController
    # A wording that gave way to another stays in the past of its segment. params: target, origin.
    def create
      version =
        segment.versions.create!(
          user: current_user,
          target: params[:target].to_s,
          state: "draft",
          origin: params.fetch(:origin, { kind: "typed" }).permit(:kind, :score).to_h
        )
      answer(VersionResource.new(version), status: :created)
    end

    def index
      answer(VersionResource.new(segment.versions.includes(:user).reorder(id: :desc).limit(100)))
    end

    private

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
  end
end
