# Projects, and briefs that are not projects yet.
module Api
  class ProjectsController < BaseController
    MEMORY_FIELDS = %i[memory_id learns read_only penalty].freeze
    FIELDS = %i[
      name reference client_id subject description source_lang target_lang due_at file_pattern times_fixed
    ].freeze
    LISTS = { never_used: [], never_translated: [] }.freeze

    takes(**FIELDS.index_with(:text), client_id: :id, due_at: :time, times_fixed: :flag, never_used: [:text],
      never_translated: [:text], template_id: :id, finished: :flag, opened: :flag,
      memories: [{ memory_id: :id, learns: :text, read_only: :flag, penalty: :number }],
      termbases: [{ termbase_id: :id, adds: :flag, checks: :flag, read_only: :flag }], text: :text,
      state: :text, pair: :text, year: :number, order: :text, as: :text)

    # params: see User::ProjectList; as: "xlsx".
    def index
      list = User::ProjectList.new(current_user,
        params.permit(:text, :state, :client_id, :pair, :year, :order))
      return send_table(list) if params[:as] == "xlsx"

      render json: list.to_h
    end

    def show
      project.count_if_due
      answer(ProjectResource.new(project))
    end

    # params: template_id: the template it begins with; client_id, target_lang: what is known already.
    def create
      template = params[:template_id].presence && current_user.projects.templates.find(params[:template_id])
      made = template ? template.new_brief : current_user.projects.create!(known_already)
      answer(ProjectResource.new(made), status: :created)
    end

    # params: FIELDS; finished; memories: rows of MEMORY_FIELDS in order; termbases: rows of
    # Project::Terms::FIELDS in order; opened: it is being looked at.
    def update
      fields = params.permit(*FIELDS, **LISTS)
      current_user.clients.find(fields[:client_id]) if fields[:client_id].present?
      project.transaction do
        project.change(fields, opened: params[:opened].present?)
        turn_finished if params.key?(:finished)
        project.attach(memories) if params.key?(:memories)
        project.attach_termbases(termbases) if params.key?(:termbases)
      end
      answer(ProjectResource.new(project.reload))
    end

    def destroy
      project.move_to_trash
      head :no_content
    end

    private

    def turn_finished = params[:finished] ? project.finish : project.reopen

    def send_table(list)
      table = User::ProjectTable.new(list)
      send_data table.bytes, filename: table.name, type: "application/octet-stream"
    end

    def known_already
      current_user.clients.find(params[:client_id]) if params[:client_id].present?
      params.permit(:client_id, :target_lang)
    end

    def termbases = Array(params[:termbases]).map { |row| row.permit(*Project::Terms::FIELDS).to_h }
    def memories = Array(params[:memories]).map { |row| row.permit(*MEMORY_FIELDS).to_h }
  end
end
