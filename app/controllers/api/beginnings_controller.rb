# Making a brief a project.
module Api
  class BeginningsController < BaseController
    def create
      project.begin! unless project.begun?
      answer(ProjectResource.new(project.reload), status: :created)
    end
  end
end
