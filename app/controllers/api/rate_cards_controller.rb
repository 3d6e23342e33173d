# Rates per client and language pair; without a client, the default rates.
module Api
  class RateCardsController < BaseController
    RATES = %i[currency unit rate minimum rush rounding page_characters words_per_hour].freeze

    SHAPE = {
      **RATES.index_with(:text), weights: Glossema::Counting::Bands::NAMES.index_with(:text)
    }.freeze
    takes client_id: :id, source_lang: :text, target_lang: :text, rates: SHAPE

    def index
      cards = current_user.rate_cards.order(:id)
      cards = cards.where(client_id: params[:client_id].presence) if params.key?(:client_id)
      answer(RateCardResource.new(cards))
    end

    def create
      client = params[:client_id].presence && current_user.clients.find(params[:client_id])
      card = current_user.rate_cards.create!(client: client, rates: rates, **pair)
      answer(RateCardResource.new(card), status: :created)
    end

    def update
      card.update!(rates: rates, **pair)
      answer(RateCardResource.new(card))
    end

    def destroy
      card.destroy!
      head :no_content
    end

    private

    def card = @card ||= current_user.rate_cards.find(params[:id])
    def pair = params.permit(:source_lang, :target_lang).to_h.symbolize_keys

    def rates
      given = params.require(:rates)
      given.permit(*RATES, weights: Glossema::Counting::Bands::NAMES).to_h
    end
  end
end
