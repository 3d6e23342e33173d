# What completion knows of a segment before a key is pressed.
module Api
  class OutlooksController < BaseController
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      without = current_user.preferences.fetch("completion_without", [])
      outlook = Segment::Outlook.new(segment, without: without)
      render json: outlook.value.to_h.merge(machine: outlook.machine?)
    end
  end
end
