# The places at which the text of a cue can be broken into lines, best first.
module Api
  class LineBreaksController < BaseController
    takes target: :text

    # params: target, in written form.
    def create
      given = Glossema::Content.parse(params.require(:target), segment.source_content)
      breaks = Glossema::Timing::LineBreaks.new(project.target_lang, project.cue_limits)
      render json: { ways: Glossema::Timing::Breaking.new(breaks).variants(given).map(&:written) }
    end

    private

    def segment
      @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
    end

    def project = segment.project
  end
end
