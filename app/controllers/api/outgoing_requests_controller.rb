# A delivery that a client's server refused, sent again.
module Api
  class OutgoingRequestsController < BaseController
    def create
      delivery = Delivery.where(project: current_user.projects).find(params[:delivery_id])
      delivery.outgoing_request&.again
      answer(DeliveryResource.new(delivery.reload))
    end
  end
end
