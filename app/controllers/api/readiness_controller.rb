# What is not done yet before a delivery.
module Api
  class ReadinessController < BaseController
    def show
      left = Project::Looking.new(project).look_at_few
      render json: { items: Project::Readiness.new(project).items, words: project.words_by_state,
                     unchecked: left, message: Delivery::Message.for(project) }
    end
  end
end
