# A look at all segments of a project that have changed since they were checked.
class CheckJob < ApplicationJob
  def perform(project, token) = Project::Looking.new(project).run(token)
end
