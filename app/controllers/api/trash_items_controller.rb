# What was put away: all of it, and one thing brought back.
module Api
  class TrashItemsController < BaseController
    takes id: :text

    def index = render(json: { items: TrashItem.list(current_user) })

    # id: "kind-number", as the list has them.
    def update
      kind, number = params[:id].split("-", 2)
      TrashItem.bring_back(current_user, kind, number)
      index
    end
  end
end
