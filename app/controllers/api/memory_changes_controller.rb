# Acts on a memory: those done, a new one on many units at once, cancelling one, taking one back.
module Api
  class MemoryChangesController < BaseController
    def index =
      answer(
        MemoryChangeResource.new(
          memory.acts.where.not(kind: "learn").includes(:user).order(id: :desc).limit(60)
        )
      )

    # params: kind ("delete", "bulk", "merge", "split"); ids or a search; set: {client, subject} for "bulk";
    # from (memory id) for "merge"; by ("client", "subject") for "split".
    def create
      %w[merge split].include?(params[:kind]) ? owned(Memory, memory.id) : memory
      change =
        case params[:kind]
        when "merge"
          memory.merge(current_user.memories.present.find(params[:from]), by: current_user)
        when "split"
          memory.split(params[:by], by: current_user)
        when "delete", "bulk"
          memory.change_units(
            params.permit(ids: [], search: {}).to_h,
            params[:kind],
            params.fetch(:set, {}).permit(:client, :subject).to_h,
            by: current_user
          )
        else
          raise Glossema::Refused.new("kind-unknown", kind: params[:kind])
        end
      answer(MemoryChangeResource.new(change), status: :created)
    end

    # Cancels one that runs.
    def update
      change.cancel
      answer(MemoryChangeResource.new(change))
    end

    def destroy
      change.undo
      answer(MemoryChangeResource.new(change))
    end

    private

    def memory = @memory ||= reached(Memory, params[:memory_id])
    def change = @change ||= reached_in(MemoryChange, :memory, Memory, params[:id])
  end
end
