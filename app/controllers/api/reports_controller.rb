# Counts of a project or of all projects: created, shown, compared, exported.
module Api
  class ReportsController < BaseController
    takes project_id: :id, client_id: :id, source_lang: :text, target_lang: :text, as: :text, beside: :id,
      memory_ids: [:id], name: :text

    # params: project_id, client_id, source_lang, target_lang narrow the list.
    def index
      list = current_user.reports.kept.ready.includes(:project, :client).order(id: :desc)
      asked = params.permit(:project_id, :client_id, :source_lang, :target_lang)
      list = list.narrowed(
        project_id: asked[:project_id], client_id: asked[:client_id],
        source_lang: asked[:source_lang], target_lang: asked[:target_lang]
      )
      answer(ReportLineResource.new(list.limit(200)))
    end

    # params: beside: the id of another report, to be compared with.
    def show
      return send_export if params[:as]

      answer(ReportResource.new(report, params: { beside: beside }))
    end

    # params: memory_ids: which to count against; those of the project when they are not given.
    def create
      made = Report.start(project, memories: chosen_memories,
        made: project.kind == "quick" ? "quick" : "hand")
      answer(ReportResource.new(made), status: :created)
    end

    # A quick count is kept, or thrown away.
    def update
      report.update!(kept: true, name: params[:name].presence || report.name)
      answer(ReportResource.new(report))
    end

    private

    def report = @report ||= current_user.reports.find(params[:id])
    def beside = params[:beside].presence && current_user.reports.ready.find(params[:beside])

    def chosen_memories
      return project.counted_memories unless params.key?(:memory_ids)

      ids = Array(params[:memory_ids]).map(&:to_i)
      penalties = project.attachments.to_h { |row| [row.memory_id, row.penalty] }
      current_user.access.readable(Memory).present.where(id: ids).map do |memory|
        { "id" => memory.id, "name" => memory.name, "penalty" => penalties.fetch(memory.id, 0) }
      end
    end

    def send_export
      export = Report::Export.new(report, beside: beside)
      send_data export.bytes(params[:as]), filename: export.name(params[:as]),
        type: "application/octet-stream"
    end
  end
end
