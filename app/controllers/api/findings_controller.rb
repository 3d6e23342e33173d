# What the checks find in a project; certain fixes put in.
module Api
  class FindingsController < BaseController
    takes keys: [:text]

    def index
      run = Project::CheckRun.new(project)
      left = run.look_at_few
      rows = Project::Checking.new(project).findings.map { |row| FindingRow.build(row) }
      render json: { findings: rows, left: left, checked: run.translated.count - left,
                     untranslated: project.segments.where(target: "").count, run: under_way(run),
                     profile: CheckProfile.new(project).from, client: project.client&.name,
                     given_up: project.checker.given_up }
    end

    # params: keys: of findings whose fix is put in. Answers the operation.
    def update
      keys = Array(params[:keys]).map(&:to_s)
      started(Operations::Fixes.start(project, by: current_user, total: keys.size, input: { "keys" => keys }))
    end

    private

    # Its operation, or nil.
    def under_way(run)
      operation = run.going_on
      operation && OperationResource.new(operation).to_h
    end
  end
end
