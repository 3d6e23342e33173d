# What machines give for a segment: asked for apart from the memories, so that a slow service holds up
# nothing.
module Api
  class MachineProposalsController < BaseController
    # Answers the proposal of the first service that the client asks, and those of as many more as it wants.
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      translators = Machine::Translator.all(segment.project).first(shown(segment))
      return render json: { proposal: nil, more: [] } if translators.empty?

      ask_outside { Machine::ServiceProposals.new(translators).proposals(segment) }
    end

    private

    def shown(segment) = segment.project.client&.machine_shown || 1
  end
end
