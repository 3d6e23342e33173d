# What was put away: all of it, and one thing brought back.
module Api
  class PutAwaysController < BaseController
    takes id: :text

    def index = render(json: { items: PutAway.list(current_user) })

    # id: "kind-number", as the list has them.
    def update
      kind, number = params[:id].split("-", 2)
      PutAway.bring_back(current_user, kind, number)
      index
    end
  end
end
