# What is given to colleagues: whom a memory or termbase was given to, what somebody is offered, changed and
# taken back by its owner, taken or left by whom it was given to.
module Api
  class SharesController < BaseController
    takes email: :text, may: :text, until: :text, state: :text

    # Of a memory or termbase, for its owner; else what the user was offered.
    def index
      shares = item ? item.shares.order(:email) : Share.offered_to(current_user).order(:id)
      answer(ShareResource.new(shares))
    end

    # params: email; may: of Share::RIGHTS; until, the last day of more than seeing it.
    def create
      made = Share.give(item, email: params.require(:email), may: params[:may] || "view", by: current_user,
        until_on: params[:until].presence)
      answer(ShareResource.new(made), status: :created)
    end

    # params: state ("accepted", "declined"), by whom it was given to; may, until by its owner.
    def update
      if share.user_id == current_user.id
        share.update!(state: params.require(:state))
      else
        share.update!(may: params[:may] || share.may, until_on: params.fetch(:until, share.until_on).presence)
      end
      answer(ShareResource.new(share))
    end

    # Taken back by its owner, or left.
    def destroy
      share.take_back(by: current_user)
      head :no_content
    end

    private

    def item
      return @item if defined?(@item)

      @item = if params[:memory_id]
        owned(Memory, params[:memory_id])
      elsif params[:termbase_id]
        owned(Termbase, params[:termbase_id])
      end
    end

    def share
      @share ||= Share.where(owner: current_user).or(Share.where(user: current_user)).find(params[:id])
    end
  end
end
