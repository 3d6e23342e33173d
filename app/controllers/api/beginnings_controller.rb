# Making a brief a project.
module Api
  class BeginningsController < BaseController
    takes without_unread: :flag

    # params: without_unread, confirms that unreadable files are left out.
    def create
      project.begin!(without_unread: params[:without_unread]) unless project.begun?
      answer(ProjectResource.new(project.reload), status: :created)
    end
  end
end
