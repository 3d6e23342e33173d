# Many units of a memory changed at once, or on their way to another memory: each an operation.
module Api
  class UnitChangesController < BaseController
    REPLACE = { find: :text, with: :text, side: :text, regex: :flag, cased: :flag, words: :flag }.freeze
    takes kind: :text, ids: [:id], set: { client: :text, subject: :text, author: :text }, replace: REPLACE,
      search: { text: :text, side: :text, tidy: :text, client: :text, subject: :text, author: :text,
                project: :text, origin: :text },
      from: :id, by: :text

    # params: kind ("delete", "bulk", "merge", "split"); ids or a search; set: {client, subject, author} for
    # "bulk"; replace: {find, with, side, regex, cased, words} for "replace";
    # from (memory id) for "merge"; by ("client", "subject") for "split". Answers the operation.
    def create
      %w[merge split].include?(params[:kind]) ? owned(Memory, memory.id) : memory
      started(change)
    end

    private

    def change
      case params[:kind]
      when "merge" then memory.merge(current_user.memories.present.find(params[:from]), by: current_user)
      when "split" then memory.split(params[:by], by: current_user)
      when "delete" then memory.delete_units(chosen, by: current_user)
      when "replace" then memory.replace_in_units(chosen, replacement, by: current_user)
      when "bulk" then memory.edit_units(chosen, set, by: current_user)
      else raise Glossema::Refused.new("kind-unknown", kind: params[:kind])
      end
    end

    def chosen = params.permit(ids: [], search: {}).to_h
    def set = params.fetch(:set, {}).permit(:client, :subject, :author).to_h
    def replacement = params.require(:replace).permit(:find, :with, :side, :regex, :cased, :words).to_h
    def memory = @memory ||= reached(Memory, params[:memory_id])
  end
end
