# Servers of clients: added with a key, changed, taken away.
module Api
  class ClientServersController < BaseController
    def index = answer(ClientServerResource.new(client.servers.order(:id)))

    # params: address, key.
    def create
      made = ClientServer.add(client, address: params.require(:address), key: params[:key].to_s)
      answer(ClientServerResource.new(made), status: :created)
    end

    # params: address, key. It is asked with them first.
    def update
      address = params[:address].presence || server.address
      key = params[:key].presence || server.key
      name = ClientServer::Speaker.new(address, key, patience: ClientServer::PATIENCE).name
      server.update!(address: address.strip.chomp("/"), key: key, name: name)
      server.ask
      answer(ClientServerResource.new(server))
    end

    # Projects that were opened stay, and deliver there no more.
    def destroy
      server.destroy!
      head :no_content
    end

    private

    def client = @client ||= current_user.clients.present.find(params[:client_id])
    def server = @server ||= current_user.client_servers.find(params[:id])
  end
end
