# News of one project: files being read, counts ready.
class ProjectChannel < ApplicationCable::Channel
  def subscribed
    project = user.projects.find_by(id: number)
    project ? stream_for(project) : reject
  end
end
