# What the units that fit a search have in common: clients, subjects, authors and the like, with how many.
module Api
  class FacetsController < BaseController
    takes text: :text, side: :text, tidy: :text, client: :text, subject: :text, author: :text, project: :text,
      origin: :text

    def show = render(json: Memory::Search.new(reached(Memory, params[:memory_id]), params).facets)
  end
end
