# Findings that are right as they are, each with a reason, and back again.
module Api
  class IgnoredFindingsController < BaseController
    takes key: :text, place: :text, reason: :text

    # params: key: of a finding; place: of IgnoredFinding::WHERE; reason.
    def create
      row = Project::Checking.new(project).findings.find { |one| one[:key] == params[:key] }
      raise Glossema::Refused.new("finding-gone") unless row

      place = IgnoredFinding::WHERE.include?(params[:place]) ? params[:place] : "here"
      made = IgnoredFinding.let(project, row, place: place, reason: params[:reason].to_s.strip,
        by: current_user)
      render json: { id: made.id }, status: :created
    end

    def destroy
      mine = IgnoredFinding.where(project: current_user.projects)
        .or(IgnoredFinding.where(client: current_user.clients))
      mine.find(params[:id]).destroy!
      head :no_content
    end
  end
end
