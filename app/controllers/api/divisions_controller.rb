# How the words of a project would be divided among several.
module Api
  class DivisionsController < BaseController
    takes count: :number, document_ids: [:id]

    MOST = 20

    # params: count: of shares; document_ids: of the files that are divided, all when left out.
    def show
      count = params[:count].to_i.clamp(0, MOST)
      ids = params[:document_ids] && Array(params[:document_ids]).map(&:to_i)
      render json: Project::Division.new(project, count, document_ids: ids).to_h
    end
  end
end
