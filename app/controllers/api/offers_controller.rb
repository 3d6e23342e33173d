# Projects that clients' servers offer; accepting one creates a brief.
module Api
  class OffersController < BaseController
    # What is known now; servers that were not asked for a while are asked in the background.
    def index
      ClientServer.look_for(current_user)
      servers = current_user.client_servers
      offers = ServerProject.offered.where(server: servers).includes(server: :client).order(:id)
      render json: { offers: OfferResource.new(offers).to_h,
                     troubles: servers.where.not(trouble: nil).pluck(:trouble) }
    end

    # Opens it. Answers the operation, for the files are fetched from the server.
    def update
      offer = ServerProject.where(server: current_user.client_servers).find(params[:id])
      started(Operations::OfferAcceptance.start(current_user, by: current_user,
        input: { "server_project_id" => offer.id }))
    end
  end
end
