# The clients of a translator.
module Api
  class ClientsController < BaseController
    def index = answer(ClientResource.new(current_user.clients.order(:name)))

    def create =
      answer(ClientResource.new(current_user.clients.create!(params.permit(:name, :code))), status: :created)
  end
end
