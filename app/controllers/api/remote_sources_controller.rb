# Memories and termbases on other servers: attached, and how they are used.
module Api
  class RemoteSourcesController < BaseController
    takes kind: :text, address: :text, key: :text, ref: :text, name: :text, source_lang: :text,
      target_lang: :text, writes: :flag

    # params: kind, address, key, ref; name; source_lang, target_lang; writes.
    def create
      pair = params.values_at(:source_lang, :target_lang).compact_blank.presence
      asked = { by: current_user, address: params.require(:address), key: params[:key].to_s,
                ref: params.require(:ref), name: params[:name], pair: pair, writes: params[:writes] == true }
      kind = params.require(:kind)
      ask_outside { { id: RemoteSource.attach(kind, **asked).item_id } }
    end

    # params: address, key, writes.
    def update
      RemoteSource::Speaker.new(params[:address], nil) if params.key?(:address)
      source.update!(params.permit(:address, :key, :writes).compact_blank.merge(params.permit(:writes)))
      source.outgoing_requests.refused.each(&:again)
      answer(RemoteSourceResource.new(source))
    end

    private

    def source = @source ||= current_user.remote_sources.find(params[:id])
  end
end
