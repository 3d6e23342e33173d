# Servers of clients: added with a key, changed, taken away.
module Api
  class ClientServersController < BaseController
    takes address: :text, key: :text

    def index = answer(ClientServerResource.new(client.servers.order(:id)))

    # params: address, key.
    def create
      asked = { address: params.require(:address), key: params[:key].to_s }
      owner = client
      ask_outside { ClientServerResource.new(ClientServer.add(owner, **asked)).to_h }
    end

    # params: address, key. It is asked with them first.
    def update
      address = params[:address].presence || server.address
      key = params[:key].presence || server.key
      ask_outside do
        name = ClientServer::Speaker.new(address, key, patience: ClientServer::PATIENCE).name
        server.update!(address: address.strip.chomp("/"), key: key, name: name)
        server.ask
        ClientServerResource.new(server).to_h
      end
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
