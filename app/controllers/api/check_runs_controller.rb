# The checks run over a whole text, in the background.
module Api
  class CheckRunsController < BaseController
    def create = started(Project::CheckRun.new(project).begin(by: current_user))
  end
end
