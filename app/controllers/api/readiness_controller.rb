# What is not done yet before a delivery.
module Api
  class ReadinessController < BaseController
    def show = render(json: { items: Project::Readiness.new(project).items, words: project.words_by_state })
  end
end
