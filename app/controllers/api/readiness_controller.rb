# What is not done yet before a delivery.
module Api
  class ReadinessController < BaseController
    def show
      left = Project::CheckRun.new(project).look_at_few
      readiness = Project::Readiness.new(project)
      render json: { items: readiness.items, words: project.words_by_state, unchecked: left,
                     out: readiness.out, message: Delivery::Message.for(project) }
    end
  end
end
