# News of one project: files being read, counts ready.
class ProjectChannel < ApplicationCable::Channel
  def subscribed
    project = current_user.projects.find_by(id: params[:id])
    project ? stream_for(project) : reject
  end
end
