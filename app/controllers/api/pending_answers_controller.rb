# What a server of others answered to a request of before, or that it has not yet.
module Api
  class PendingAnswersController < BaseController
    takes id: :text

    def show
      ticket = OutsideWork.find(current_user, params[:id]) || raise(ActiveRecord::RecordNotFound)
      answer_when_done(ticket)
    end
  end
end
