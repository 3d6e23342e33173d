# Changes of a reviser accepted or rejected, one or many.
module Api
  class ReviewDecisionsController < BaseController
    takes ids: [:id], decision: :text, mended: :flag

    # params: ids: of changes; decision: of ReviewChange::DECISIONS; mended: with the codes put back. Answers
    # the operation.
    def create
      round = ReviewRound.where(project: current_user.projects).find(params[:review_round_id])
      list = round.corrections.where(id: Array(params[:ids])).joins(segment: :document)
        .order("documents.position", "segments.position")
      decision = ReviewChange::DECISIONS.include?(params[:decision]) ? params[:decision] : "open"
      started(round.decide(list, decision, by: current_user, mended: params[:mended].present?))
    end
  end
end
