# Keys by which other servers reach a memory or termbase of the user: created, listed, revoked. A key is shown
# once.
module Api
  class RemoteKeysController < BaseController
    takes name: :text, may: :text, per_minute: :number, until: :text

    def index = answer(RemoteKeyResource.new(item.keys.order(:id)))

    # params: name; may ("read", "write"); per_minute; until, its last day.
    def create
      fields = { name: params[:name].to_s, until_on: params[:until].presence,
                 **params.permit(:may, :per_minute).to_h.symbolize_keys }
      record, secret = RemoteKey.make(item, by: current_user, **fields)
      once = { key: secret, address: "#{Rails.configuration.x.public_url || request.base_url}/remote/v1" }
      render json: RemoteKeyResource.new(record).to_h.merge(once), status: :created
    end

    # It opens nothing from now on.
    def destroy
      RemoteKey.find_by!(id: params[:id], user: current_user).destroy!
      head :no_content
    end

    private

    def item
      @item ||= params[:memory_id] ? owned(Memory, params[:memory_id]) : owned(Termbase, params[:termbase_id])
    end
  end
end
