# Where in a text there are findings, by the worst of them.
module Api
  class CheckMarksController < BaseController
    def index
      Project::CheckRun.new(project).look_at_few
      render json: { marks: Project::Checking.new(project).marks }
    end
  end
end
