# Words looked up in the memories of a project and in the project itself.
module Api
  class ConcordancesController < BaseController
    takes text: :text, side: :text, way: :text

    def show
      render json:
               Memory::Concordance.new(
                 project.memories.where(deleted_at: nil).to_a,
                 project: project,
                 text: params[:text],
                 side: params[:side],
                 way: params[:way] || "phrase"
               ).to_h
    end
  end
end
