# What the checks find in a project; certain fixes put in.
module Api
  class FindingsController < BaseController
    def index
      looking = Project::Looking.new(project)
      left = looking.look_at_few
      rows = Project::Checking.new(project).findings.map { |row| FindingRow.of(row) }
      render json: { findings: rows, left: left, checked: looking.translated.count - left,
                     untranslated: project.segments.where(target: "").count, run: project.check_run,
                     profile: CheckProfile.new(project).from, client: project.client&.name,
                     given_up: project.checker.given_up }
    end

    # params: keys: of findings whose fix is put in.
    def update
      act, changed = Project::Fixing.new(project).write(Array(params[:keys]).map(&:to_s), by: current_user)
      tell(project, changed)
      render json: { act: act.id, changed: changed.size }
    end
  end
end
