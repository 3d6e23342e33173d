# The clients of a translator and what is set up once for each.
module Api
  class ClientsController < BaseController
    TEXTS = %i[
      name code address own_address file_pattern reference_pattern machine machine_shown notes conditions
      valid_days on_open language
    ].freeze
    LISTS = { subjects: [], never_used: [], never_translated: [] }.freeze
    ROWS = {
      people: %i[name role email phone],
      memories: %i[memory_id learns read_only penalty],
      termbases: %i[termbase_id adds checks read_only]
    }.freeze

    takes(**TEXTS.index_with(:text), machine_shown: :number, valid_days: :number, subjects: [:text],
      never_used: [:text], never_translated: [:text], people: [ROWS[:people].index_with(:text)],
      memories: [{ memory_id: :id, learns: :text, read_only: :flag, penalty: :number }],
      termbases: [{ termbase_id: :id, adds: :flag, checks: :flag, read_only: :flag }],
      machine_order: :any, keep_from: :id)

    def index = answer(ClientResource.new(current_user.clients.present.order(:name)))
    def show = answer(ClientPageResource.new(client))

    def create
      made = current_user.clients.create!(params.permit(:name, :code))
      answer(ClientResource.new(made), status: :created)
    end

    # params: any of TEXTS, LISTS and ROWS; keep_from: a project whose settings are kept for the client.
    def update
      if params[:keep_from]
        client.keep_from(current_user.projects.find(params[:keep_from]))
      else
        client.update!(params.permit(*TEXTS, **LISTS, **ROWS, machine_order: {}))
      end
      answer(ClientPageResource.new(client))
    end

    def destroy
      client.move_to_trash
      head :no_content
    end

    private

    def client = @client ||= current_user.clients.present.find(params[:id])
  end
end
