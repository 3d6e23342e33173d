# What the checks find in a project; certain fixes put in.
module Api
  class FindingsController < BaseController
    takes keys: [:text]

    def index
      looking = Project::Looking.new(project)
      left = looking.look_at_few
      rows = Project::Checking.new(project).findings.map { |row| FindingRow.of(row) }
      render json: { findings: rows, left: left, checked: looking.translated.count - left,
                     untranslated: project.segments.where(target: "").count, run: run_of(looking),
                     profile: CheckProfile.new(project).from, client: project.client&.name,
                     given_up: project.checker.given_up }
    end

    # params: keys: of findings whose fix is put in. Answers the operation.
    def update
      keys = Array(params[:keys]).map(&:to_s)
      started(Operations::Fixes.start(project, by: current_user, total: keys.size, input: { "keys" => keys }))
    end

    private

    # The run that is under way, or nil.
    def run_of(looking)
      run = looking.going_on
      run && OperationResource.new(run).to_h
    end
  end
end
