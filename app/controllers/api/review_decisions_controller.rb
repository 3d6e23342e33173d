# Changes of a reviser's taken or left, one or many.
module Api
  class ReviewDecisionsController < BaseController
    # params: ids: of changes; decision: of ReviewChange::DECISIONS; mended: with the codes put back.
    def create
      round = ReviewRound.where(project: current_user.projects).find(params[:review_round_id])
      list = round.corrections.includes(:segment).where(id: Array(params[:ids]))
      decision = ReviewChange::DECISIONS.include?(params[:decision]) ? params[:decision] : "open"
      changed = round.decide(list, decision, by: current_user, mended: params[:mended].present?)
      tell(round.project, changed)
      render json: { changed: changed.size }, status: :created
    end
  end
end
