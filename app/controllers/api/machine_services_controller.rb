# Services of machine translation, tried out before they are relied on; the ledger of what was sent.
module Api
  class MachineServicesController < BaseController
    takes name: :text, address: :text, http_method: :text, request: :text, answer: :text, batch: :number,
      markup: :flag, instructions: :text, active: :flag, price: :decimal, currency: :text, key: :text,
      languages: [:text], headers: :any, source_lang: :text, target_lang: :text

    FIELDS = %i[
      name address http_method request answer batch markup instructions active price currency
    ].freeze
    TRIED = "Check the {1}brake pads{/1} before every ride.".freeze

    def index
      sent = MachineRequest.where(service: current_user.machine_services).order(id: :desc).limit(100)
      render json: {
        services: MachineServiceResource.new(current_user.machine_services.order(:id)).to_h,
        sent: MachineRequestResource.new(sent.includes(:service)).to_h,
        templates: Machine::TEMPLATES
      }
    end

    def create
      answer(MachineServiceResource.new(current_user.machine_services.create!(given)), status: :created)
    end

    def update
      service.update!(given)
      answer(MachineServiceResource.new(service))
    end

    def destroy
      service.destroy!
      head :no_content
    end

    # Sends one sentence and says plainly what came.
    # params: source_lang, target_lang
    def try
      service
      languages = { source_lang: params.require(:source_lang), target_lang: params.require(:target_lang) }
      connector = Machine::Connector.new(service.service, **languages,
        known: { "instructions" => service.instructions })
      ask_outside do
        got = connector.answers([Glossema::Content.from_written(TRIED)]).first
        raise got if got.is_a?(Glossema::Refused)

        { sent: Glossema::Content.plain(TRIED), got: got.content.text, codes: got.lost.empty? }
      end
    end

    private

    def service = @service ||= current_user.machine_services.find(params[:id])

    # A key is only changed when one is given.
    def given
      fields = params.permit(*FIELDS)
      fields[:languages] = Array(params[:languages]).map(&:to_s) if params.key?(:languages)
      fields[:headers] = params[:headers].to_unsafe_h.transform_values(&:to_s) if params[:headers]
      fields[:key] = params[:key] if params[:key].present?
      fields
    end
  end
end
