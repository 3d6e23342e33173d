# One wording for a source that has two.
module Api
  class UnificationsController < BaseController
    # params: key: of a finding; way: of Project::Unifying::WAYS.
    def create
      way = Project::Unifying::WAYS.include?(params[:way]) ? params[:way] : "here"
      act, changed = Project::Unifying.new(project).write(params[:key].to_s, way, by: current_user)
      tell(project, changed)
      render json: { act: act.id, changed: changed.size }, status: :created
    end
  end
end
