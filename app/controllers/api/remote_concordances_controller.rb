# Concordance in one memory on another server, while the user waits.
module Api
  class RemoteConcordancesController < BaseController
    takes text: :text, side: :text

    LIMIT = 50

    # params: text, side.
    def show
      source = current_user.remote_sources.find(params[:remote_source_id])
      text, side = params[:text].to_s, params[:side] == "target" ? "target" : "source"
      ask_outside { found(source, text, side) }
    end

    private

    def found(source, text, side)
      answer = source.speaker(patience: RemoteSource::WHILE_TYPING, waits: []).concordance(
        source.ref, text: text, side: side, way: "words", limit: LIMIT
      )
      units = answer["units"].filter_map { |one| Glossema::Remote::Unit.from_h(one) }
      hits = Memory::Concordance.new([], text: text, side: side, way: "words").of_server(units,
        source.item.name)
      { hits: hits, more: answer["more"] }
    end
  end
end
