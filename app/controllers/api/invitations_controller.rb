# The invitation of somebody without an account, by the link that was sent.
module Api
  class InvitationsController < BaseController
    takes id: :text

    skip_before_action :require_user

    def show
      share = Share.invitation(params[:id])
      render json: { email: share.email, item: share.item.name, owner: share.owner.name }
    end
  end
end
