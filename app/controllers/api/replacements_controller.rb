# Find and replace in a project: a look at every change, then the writing of those she takes.
module Api
  class ReplacementsController < BaseController
    # params: find, with, regex, cased, words, side; segment_ids: of those it is about.
    def show
      found, count = replacement.look
      render json: { count: count, places: found }
    end

    # params: the same; take: ids of the segments whose changes are taken; confirmed: "stay" or "draft".
    def create
      act = replacement.write(Array(params[:take]), confirmed: params[:confirmed].to_s, by: current_user)
      answer(ProjectActResource.new(act), status: :created)
    end

    private

    def replacement
      yes = ->(name) { ActiveModel::Type::Boolean.new.cast(params[name]) || false }
      asked = { find: params[:find].to_s, with: params[:with].to_s, regex: yes[:regex], cased: yes[:cased],
                words: yes[:words] }
      ids = params[:segment_ids] && Array(params[:segment_ids])
      Replacement.new(project, asked, side: params[:side] == "source" ? "source" : "target", ids: ids)
    end
  end
end
