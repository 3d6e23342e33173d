# Quotes made of counts: kept, told, and what became of them.
module Api
  class QuotesController < BaseController
    takes project_id: :id, client_id: :id, report_id: :id, as: :text, rates: RateCardsController::SHAPE,
      total: :text, valid_until: :date, done_at: :time, state: :text, language: :text

    def index
      list = current_user.quotes.includes(:client, :project, :report).order(id: :desc)
      asked = params.permit(:project_id, :client_id, :report_id)
      list = list.narrowed(
        project_id: asked[:project_id], client_id: asked[:client_id], report_id: asked[:report_id]
      )
      answer(QuoteResource.new(list.limit(200)))
    end

    def show
      return send_export if params[:as]

      answer(QuotePageResource.new(quote))
    end

    # params: report_id; rates; total: what was shown; valid_until, done_at.
    def create
      made =
        Quote.keep(
          current_user.reports.find(params[:report_id]),
          rates: rates,
          shown: params[:total].to_s,
          valid_until: params[:valid_until].presence&.to_date,
          done_at: params[:done_at].presence&.to_time
        )
      answer(QuoteResource.new(made), status: :created)
    end

    def update
      quote.update!(params.permit(:state, :language))
      answer(QuoteResource.new(quote))
    end

    private

    def quote = @quote ||= current_user.quotes.find(params[:id])

    def rates
      given = params.require(:rates)
      given.permit(*RateCardsController::RATES, weights: Glossema::Counting::Bands::NAMES).to_h
    end

    # In the language of the letter.
    def send_export
      I18n.with_locale(quote.language) do
        export = Quote::Export.new(quote)
        send_data export.bytes(params[:as]), filename: export.name(params[:as]),
          type: "application/octet-stream"
      end
    end
  end
end
