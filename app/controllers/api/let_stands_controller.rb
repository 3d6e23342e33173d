# Findings that are right as they are, each with a reason, and back again.
module Api
  class LetStandsController < BaseController
    # params: key: of a finding; all: every one like it in the project; reason.
    def create
      row = Project::Checking.new(project).findings.find { |one| one[:key] == params[:key] }
      raise Glossema::Refused.new("finding-gone") unless row

      all = params[:all].present?
      made = project.let_stands.create_or_find_by!(digest: all ? row[:all_key] : row[:key]) do |stand|
        stand.assign_attributes(segment: all ? nil : row[:segment], user: current_user,
          author: current_user.name, code: row["code"], reason: params[:reason].to_s.strip)
      end
      render json: { id: made.id }, status: :created
    end

    def destroy
      LetStand.where(project: current_user.projects).find(params[:id]).destroy!
      head :no_content
    end
  end
end
