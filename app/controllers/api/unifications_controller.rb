# One wording for a source that has two.
module Api
  class UnificationsController < BaseController
    # params: key: of a finding, and way: of Project::Unifying::WAYS; or segment_id and unit_id: of the memory
    # whose translation the segment takes.
    def create
      act, changed = params[:unit_id] ? from_memory : from_finding
      tell(project, changed)
      render json: { act: act.id, changed: changed.size }, status: :created
    end

    private

    def from_finding
      way = Project::Unifying::WAYS.include?(params[:way]) ? params[:way] : "here"
      Project::Unifying.new(project).write(params[:key].to_s, way, by: current_user)
    end

    def from_memory
      memories = project.attachments.usable.pluck(:memory_id)
      unit = MemoryUnit.where(memory_id: memories).find(params[:unit_id])
      Project::Unifying.new(project).take(project.segments.find(params[:segment_id]), unit, by: current_user)
    end
  end
end
