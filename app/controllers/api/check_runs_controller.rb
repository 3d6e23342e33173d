# A look at a whole text, in the background.
module Api
  class CheckRunsController < BaseController
    def create
      Project::Looking.new(project).begin
      render json: { run: project.check_run }, status: :accepted
    end

    def destroy
      Project::Looking.new(project).cancel
      head :no_content
    end
  end
end
