# What is confirmed of an alignment, given to a memory.
module Api
  class AlignmentGiftsController < BaseController
    takes memory_id: :id, name: :text

    # params: memory_id, or name: of a memory that is made for it.
    def create
      alignment = current_user.alignments.find(params[:alignment_id])
      memory = params[:memory_id] ? reached(Memory, params[:memory_id], right: "add") : made(alignment)
      alignment.give(memory, by: current_user)
      answer(AlignmentResource.new(alignment), status: :created)
    end

    private

    def made(alignment)
      current_user.memories.create!(name: params.require(:name),
        **alignment.slice("source_lang", "target_lang").symbolize_keys)
    end
  end
end
