# Translation memories: those there are, a new one, and away with one.
module Api
  class MemoriesController < BaseController
    def index
      memories = current_user.memories.order(:name)
      memories = memories.select { |memory| memory.fits?(params[:source_lang], params[:target_lang]) } if params[:source_lang].present?
      answer(MemoryResource.new(memories))
    end

    def show = answer(MemoryResource.new(memory))

    def create = answer(MemoryResource.new(current_user.memories.create!(params.permit(:name, :description, :source_lang, :target_lang))), status: :created)

    def destroy
      memory.destroy!
      head :no_content
    end

    private

    def memory = @memory ||= current_user.memories.find(params[:id])
  end
end
