# News of a pass inside, for all who may open it.
class ReviewChannel < ApplicationCable::Channel
  def subscribed
    round = ReviewRound.open_to(user).find_by(id: number)
    round ? stream_for(round) : reject
  end
end
