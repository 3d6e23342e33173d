# A count without a project: files are dropped into a place of their own and deleted unless the count is
# saved; a saved one can become a project.
module Api
  class QuickCountsController < BaseController
    def create
      answer(ProjectResource.new(current_user.all_projects.create!(kind: "quick")), status: :created)
    end

    # It becomes a brief.
    def update
      project = current_user.projects.find_by!(id: params[:id], kind: "quick")
      project.update!(kind: "project")
      project.reports.each { |report| report.update!(kept: true) }
      project.propose
      answer(ProjectResource.new(project))
    end
  end
end
