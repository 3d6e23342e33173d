# The logo of a client, for quotes.
module Api
  class LogosController < BaseController
    takes files: [:file]

    def show
      return head(:not_found) unless client.logo.attached?

      send_data client.logo.download, type: client.logo.content_type, disposition: "inline"
    end

    def update
      client.take_logo(uploads(:files).first)
      answer(ClientPageResource.new(client.reload))
    end

    def destroy
      client.logo.purge
      answer(ClientPageResource.new(client.reload))
    end

    private

    def client = @client ||= current_user.clients.present.find(params[:client_id])
  end
end
