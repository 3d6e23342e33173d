# Translation memories: those there are, a new one, another name, away with one and back again, merged and
# split.
module Api
  class MemoriesController < BaseController
    takes name: :text, description: :text, source_lang: :text, target_lang: :text, deleted: :flag

    def index
      memories = current_user.access.readable(Memory).present.order(:name)
      memories =
        memories.select { |memory| memory.fits?(params[:source_lang], params[:target_lang]) } if params[
        :source_lang
      ].present?
      answer(shown(memories))
    end

    def show = answer(shown(reached(Memory, params[:id])))

    def create =
      answer(
        MemoryResource.new(
          current_user.memories.create!(params.permit(:name, :description, :source_lang, :target_lang))
        ),
        status: :created
      )

    # params: name, description; deleted: false brings a deleted one back.
    def update
      memory.update!(params.permit(:name, :description))
      memory.bring_back if params[:deleted] == false
      answer(MemoryResource.new(memory))
    end

    # It is kept for a while and can be brought back.
    def destroy
      memory.update!(deleted_at: Time.current)
      head :no_content
    end

    private

    def shown(memories) = MemoryResource.new(memories, params: { access: current_user.access })

    def memory = @memory ||= owned(Memory, params[:id])
  end
end
