# Requests that need an answer of another server: where it does not come at once they answer 202 with the
# number of a pending answer, which is asked for later (Api::PendingAnswersController).
module AskingOutside
  private

  # The block is run by another thread; it answers what is rendered as JSON.
  def ask_outside(&)
    answer_when_done(OutsideWork.begin(current_user, &))
  end

  def answer_when_done(ticket)
    return render(json: { pending: ticket.id }, status: :accepted) unless ticket.wait

    render json: ticket.answer
  end
end
