# What the checks find in one segment: as it reads now, or with the text that is being written.
module Api
  class SegmentFindingsController < BaseController
    takes target: :text

    def show = answer_of(segment.target_content)

    # params: target: written form.
    def create = answer_of(Glossema::Content.parse(params[:target].to_s, segment.source_content))

    private

    def segment
      @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
    end

    def answer_of(target)
      checking = Project::Checking.new(segment.project)
      found = target.blank? ? [] : checking.segment_findings(segment, target: target)
      render json: { findings: found.map { |one| one.except("other") } }
    end
  end
end
