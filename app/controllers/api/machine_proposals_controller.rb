# What the machine gives for a segment: asked for apart from the memories, so that a slow service holds up
# nothing.
module Api
  class MachineProposalsController < BaseController
    def show
      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      translator = Machine::Translator.for(segment.project)
      return render json: { proposal: nil } unless translator

      ask_outside { { proposal: row(translator.answer(segment), translator.record) } }
    end

    private

    def row(answer, service)
      {
        id: "mt", kind: "machine", score: nil, penalties: [], target: answer.content.written, source: nil,
        differences: [], service: service.name, lost: answer.lost
      }
    end
  end
end
