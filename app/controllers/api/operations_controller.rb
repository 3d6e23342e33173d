# Long work and changes: those of a project, memory or termbase, or those that the user has under way; one of
# them looked at, cancelled, tried again or undone.
module Api
  class OperationsController < BaseController
    takes project_id: :id, memory_id: :id, termbase_id: :id, state: :text

    SHOWN = 100
    # Of those that have ended so long ago no page waits any more.
    RECENT = 1.minute

    # params: project_id, memory_id or termbase_id: its Activity; without one what the user has under way.
    def index = answer(OperationResource.new(list.includes(:user, output_attachment: :blob).limit(SHOWN)))

    def show = answer(OperationResource.new(operation))

    # params: state: "cancelled", "queued": once more, or "undone".
    def update
      operation
      case params[:state]
      when "cancelled" then operation.cancel
      when "queued" then operation.retry!
      when "undone" then operation.undo(by: current_user)
      else raise Glossema::Refused.new("operation-state", state: params[:state].to_s.truncate(40))
      end
      answer(OperationResource.new(operation.reload))
    end

    private

    def list
      return activity(project) if params[:project_id]
      return activity(reached(Memory, params[:memory_id], right: "view")) if params[:memory_id]
      return activity(reached(Termbase, params[:termbase_id], right: "view")) if params[:termbase_id]

      current_user.operations.where(state: Operation::UNDER_WAY).order(:id)
    end

    def activity(subject) = Operation.listed.where(subject: subject).order(id: :desc)
    def operation = @operation ||= reached_operation(params[:id])
  end
end
