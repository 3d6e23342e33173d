# What was done to a project as a whole, and one act taken back.
module Api
  class ProjectActsController < BaseController
    def index = answer(ProjectActResource.new(project.acts.finished.includes(:user).limit(100)))

    def destroy
      act = project.acts.find(params[:id])
      act.undo(by: current_user)
      answer(ProjectActResource.new(act))
    end
  end
end
