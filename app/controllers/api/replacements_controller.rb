# Find and replace in a project: a preview of every change, then the writing of those that are accepted.
module Api
  class ReplacementsController < BaseController
    takes find: :text, with: :text, regex: :flag, cased: :flag, words: :flag, side: :text,
      segment_ids: [:id], take: [:id], confirmed: :text

    # params: find, with, regex, cased, words, side; segment_ids: of those it is about.
    def show
      found, count = replacement.look
      render json: { count: count, places: found }
    end

    # params: the same; take: ids of the segments whose changes are accepted; confirmed: "stay" or "draft".
    # Answers the operation.
    def create
      ids = project.segments.where(id: wanted & (params[:segment_ids] ? chosen : wanted)).ids
      started(Replacement.start(project, asked, ids, confirmed: params[:confirmed].to_s, by: current_user,
        side: side))
    end

    private

    def wanted = Array(params[:take]).map(&:to_i)
    def chosen = Array(params[:segment_ids]).map(&:to_i)
    def side = params[:side] == "source" ? "source" : "target"

    def replacement
      Replacement.new(project, asked, side: side, ids: params[:segment_ids] && chosen)
    end

    def asked
      yes = ->(name) { ActiveModel::Type::Boolean.new.cast(params[name]) || false }
      { find: params[:find].to_s, with: params[:with].to_s, regex: yes[:regex], cased: yes[:cased],
        words: yes[:words] }
    end
  end
end
