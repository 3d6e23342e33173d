# How far the machine's translations in a project were changed.
module Api
  class PostEditingController < BaseController
    def show = render(json: Project::PostEditing.new(project).sum.to_h)
  end
end
