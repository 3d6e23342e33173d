# What the checks find in a project; certain fixes put in.
module Api
  class FindingsController < BaseController
    def index
      checking = Project::Checking.new(project)
      rows = checking.findings.map { |row| FindingRow.of(row) }
      render json: { findings: rows, checked: checking.segments.size }
    end

    # params: keys: of findings whose fix is put in.
    def update
      act, changed = Project::Fixing.new(project).write(Array(params[:keys]).map(&:to_s), by: current_user)
      tell(project, changed)
      render json: { act: act.id, changed: changed.size }
    end
  end
end
