# What completion knows of a segment before a key is pressed.
module Api
  class CompletionContextsController < BaseController
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      without = current_user.preferences.fetch("completion_without", [])
      context = Segment::CompletionContext.new(segment, without: without)
      render json: context.value.to_h.merge(machine: context.machine?)
    end
  end
end
